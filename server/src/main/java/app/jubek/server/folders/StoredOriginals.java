package app.jubek.server.folders;

import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.springframework.stereotype.Component;

/** Stored messages, read once more for what a person wants done with them afterwards. */
@Component
public class StoredOriginals {
    private final StoredMail mail;
    private final MessageReading reading = new MessageReading(Limits.standard());

    StoredOriginals(StoredMail mail) {
        this.mail = mail;
    }

    public Composer.Original of(long message) {
        ByteSource stored = mail.bytes(message);
        try (InputStream in = stored.open()) {
            return new Composer.Original(
                    reading.read(in), stored, mail.find(message).digest());
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
