package app.jubek.core.reading;

import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReadingNote;
import app.jubek.core.text.Budget;
import app.jubek.core.text.Limits;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.apache.james.mime4j.MimeException;
import org.apache.james.mime4j.codec.DecodeMonitor;
import org.apache.james.mime4j.parser.MimeStreamParser;
import org.apache.james.mime4j.stream.MimeConfig;

/**
 * Reads bytes into a {@link ReadMessage}, permissively: anything a hostile sender can write becomes something. What
 * could not be read is noted on the message.
 */
public final class MessageReading {
    private static final int BUFFER = 1 << 16;
    private static final int OUTLINE = 1 << 14;

    /** For line ends that the parser counts and we don't. */
    private static final int SLACK = 1 << 10;

    private final Limits limits;

    public MessageReading(Limits limits) {
        this.limits = limits;
    }

    public ReadMessage read(byte[] bytes) {
        return read(new ByteArrayInputStream(bytes));
    }

    public ReadMessage read(InputStream bytes) {
        return read(bytes, Budget.UNLIMITED);
    }

    /**
     * Reads to the end of the stream, or to the first limit; the size is what the stream held.
     *
     * @throws Budget.Spent when reading it costs too much
     */
    public ReadMessage read(InputStream bytes, Budget budget) {
        CountingStream counted = new CountingStream(new BufferedInputStream(bytes, BUFFER), budget);
        PartCollector parts = new PartCollector(limits, budget);
        try {
            CutHeader.Result cut = CutHeader.of(counted, limits);
            parts.headerWasCut(cut.cut());
            MimeStreamParser parser = parser(parts);
            parts.whenLimitReached(parser::stop);
            parser.parse(cut.message());
        } catch (Budget.Spent spent) {
            throw spent;
        } catch (MimeException | IOException | RuntimeException broken) {
            parts.note(ReadingNote.READ_IN_PART.with(cause(broken)));
        }
        return parts.message(counted.drained());
    }

    /** The header alone, and little of it: what can be told of a message that can't be read. */
    public static ReadMessage outline(ByteSource bytes) {
        try (InputStream in = bytes.open()) {
            byte[] beginning = in.readNBytes(OUTLINE);
            int body = Math.max(endOfHeader(beginning), 0);
            return new MessageReading(Limits.standard())
                    .read(new ByteArrayInputStream(beginning, 0, body == 0 ? beginning.length : body));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static int endOfHeader(byte[] bytes) {
        for (int at = 1; at < bytes.length; at++) {
            boolean empty = bytes[at] == '\n'
                    && (bytes[at - 1] == '\n' || at > 1 && bytes[at - 1] == '\r' && bytes[at - 2] == '\n');
            if (empty) {
                return at + 1;
            }
        }
        return -1;
    }

    private MimeStreamParser parser(PartCollector parts) {
        MimeConfig config = new MimeConfig.Builder()
                .setMaxLineLen(-1)
                .setMaxHeaderLen(limits.field() + SLACK)
                .setMaxHeaderCount(limits.fields() + 1)
                .setMaxContentLen(-1)
                .build();
        MimeStreamParser parser = new MimeStreamParser(config, DecodeMonitor.SILENT, null);
        parser.setContentHandler(parts);
        parser.setContentDecoding(true);
        parser.setNoRecurse();
        return parser;
    }

    private static String cause(Exception broken) {
        return broken.getMessage() == null ? broken.getClass().getSimpleName() : broken.getMessage();
    }
}
