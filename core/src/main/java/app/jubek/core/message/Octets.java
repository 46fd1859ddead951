package app.jubek.core.message;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/** The octets of a message, wherever they lie; large ones are better streamed than asked for all at once. */
public interface Octets {
    long size();

    /** From the first octet; the caller closes it. */
    InputStream open();

    /** All of them in memory. */
    default byte[] all() {
        try (InputStream in = open()) {
            return in.readAllBytes();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    static Octets of(byte[] octets) {
        byte[] own = octets.clone();
        return new Octets() {
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
