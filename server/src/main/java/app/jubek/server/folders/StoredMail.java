package app.jubek.server.folders;

import app.jubek.core.message.ByteSource;
import app.jubek.server.mailbox.Fetched;
import java.util.Optional;

/** The messages that steps are about, as delivery needs them. */
public interface StoredMail {
    /**
     * @param place where it lies now, as far as we know
     * @param messageId for finding it, with its size, when it lies elsewhere
     */
    record Stored(long id, Fetched.Place place, Optional<String> messageId, long size, String digest) {}

    Stored find(long id);

    ByteSource bytes(long id);

    void moved(long id, Fetched.Place place);
}
