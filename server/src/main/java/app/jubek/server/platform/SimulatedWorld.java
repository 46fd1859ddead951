package app.jubek.server.platform;

import java.util.List;
import java.util.UUID;

/** The mail servers around this one are simulated ones that can be looked into. In production there is none of it. */
public interface SimulatedWorld {
    /** Gives mailboxes what they are to begin with, before they are watched. */
    void furnish(List<UUID> mailboxes);
}
