package app.jubek.core.message;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/** The bytes of a message, wherever they lie; large ones are better streamed than asked for all at once. */
public interface ByteSource {
    long size();

    /** From the first byte; the caller closes it. */
    InputStream open();

    /** All of them in memory. */
    default byte[] all() {
        try (InputStream in = open()) {
            return in.readAllBytes();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    static ByteSource of(byte[] bytes) {
        byte[] own = bytes.clone();
        return new ByteSource() {
            @Override
            public long size() {
                return own.length;
            }

            @Override
            public InputStream open() {
                return new ByteArrayInputStream(own);
            }
        };
    }
}
