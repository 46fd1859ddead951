package app.jubek.core.message;

import app.jubek.core.text.Limits;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import org.apache.james.mime4j.MimeException;
import org.apache.james.mime4j.codec.DecodeMonitor;
import org.apache.james.mime4j.message.DefaultBodyDescriptorBuilder;
import org.apache.james.mime4j.parser.MimeStreamParser;
import org.apache.james.mime4j.stream.MimeConfig;

/**
 * Reads octets into a {@link ReadMessage}, permissively: anything a hostile sender can write becomes something. What
 * could not be read is noted on the message.
 */
public final class MessageReading {
    private final Limits limits;

    public MessageReading(Limits limits) {
        this.limits = limits;
    }

    public ReadMessage read(byte[] octets) {
        return read(new ByteArrayInputStream(octets));
    }

    /** Reads to the end of the stream, or to the first limit; the size is what the stream held. */
    public ReadMessage read(InputStream octets) {
        CountingStream counted = new CountingStream(octets);
        PartCollector parts = new PartCollector(limits);
        MimeStreamParser parser = parser(parts);
        parts.whenLimitReached(parser::stop);
        try {
            parser.parse(counted);
        } catch (MimeException | IOException | RuntimeException broken) {
            parts.note("read only in part: " + cause(broken));
        }
        return parts.message(counted.drained());
    }

    private MimeStreamParser parser(PartCollector parts) {
        MimeConfig config = new MimeConfig.Builder()
                .setMaxLineLen(-1)
                .setMaxHeaderLen(limits.headerOctets())
                .setMaxHeaderCount(limits.fields())
                .setMaxContentLen(-1)
                .build();
        MimeStreamParser parser =
                new MimeStreamParser(config, DecodeMonitor.SILENT, new DefaultBodyDescriptorBuilder());
        parser.setContentHandler(parts);
        parser.setContentDecoding(true);
        parser.setNoRecurse();
        return parser;
    }

    private static String cause(Exception broken) {
        return broken.getMessage() == null ? broken.getClass().getSimpleName() : broken.getMessage();
    }

    private static final class CountingStream extends java.io.FilterInputStream {
        private long count;

        CountingStream(InputStream in) {
            super(in);
        }

        @Override
        public int read() throws IOException {
            int octet = super.read();
            count += octet < 0 ? 0 : 1;
            return octet;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int n = super.read(into, from, length);
            count += Math.max(n, 0);
            return n;
        }

        long drained() {
            try {
                count += in.transferTo(java.io.OutputStream.nullOutputStream());
            } catch (IOException ended) {
                return count;
            }
            return count;
        }
    }
}
