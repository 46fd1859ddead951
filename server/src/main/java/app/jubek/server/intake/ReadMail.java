package app.jubek.server.intake;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.reading.TraceFields;
import app.jubek.core.text.Budget;
import app.jubek.core.text.Limits;
import app.jubek.server.mailbox.Fetched;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/**
 * A message parsed once, outside any transaction.
 *
 * @param digest below the trace fields, by which a message is known again
 */
record ReadMail(Fetched fetched, ReadMessage message, String digest) {
    private static final MessageReading READING = new MessageReading(Limits.standard());

    /**
     * @param budget what parsing may cost
     */
    static ReadMail parse(Fetched fetched, Budget budget) {
        try (InputStream in = fetched.bytes().open()) {
            return new ReadMail(fetched, READING.read(in, budget), TraceFields.digestBelow(fetched.bytes()));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    ReadMail with(ReadMessage noted) {
        return new ReadMail(fetched, noted, digest);
    }
}
