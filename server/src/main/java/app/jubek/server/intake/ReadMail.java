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
import java.util.List;

/**
 * A message parsed once, outside any transaction.
 *
 * @param digest by which the message is known again
 * @param below of what stands below the trace fields
 */
record ReadMail(Fetched fetched, ReadMessage message, String digest, String below) {
    private static final MessageReading READING = new MessageReading(Limits.standard());

    /**
     * @param budget what parsing may cost
     */
    static ReadMail parse(Fetched fetched, Budget budget) {
        try (InputStream in = fetched.bytes().open()) {
            ReadMessage message = READING.read(in, budget);
            String below = TraceFields.digestBelow(fetched.bytes());
            return new ReadMail(fetched, message, digest(fetched, message, below), below);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /**
     * What has one Message-ID and the same bytes is one message (RFC 5322 §3.6.4). Without a Message-ID two blank messages
     * may be alike in every byte: then those are two that came on different ways or, where no hop wrote anything, at
     * different times. A copy that a mail program lays beside the message is the same.
     */
    static String digest(Fetched fetched, ReadMessage message, String below) {
        if (message.messageId().isPresent()) {
            return below;
        }
        return TraceFields.areIn(fetched.bytes())
                ? TraceFields.digestWith(fetched.bytes())
                : below + "@" + fetched.received().getEpochSecond();
    }

    /** By which it may be known; the second is that of a message stored when only it was looked at. */
    List<String> knownBy() {
        return List.of(digest, below);
    }

    ReadMail with(ReadMessage noted) {
        return new ReadMail(fetched, noted, digest, below);
    }
}
