package app.jubek.server.content;

import java.util.UUID;
import org.springframework.stereotype.Component;

/** The messages of trials: copies, so that they outlast the messages that they are of. */
@Component
public class TrialContent extends ContentParts<UUID> {
    TrialContent(TrialContentRepository repository) {
        super(repository);
    }
}
