package app.jubek.server.delivery;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;

/** The octets of a message as DATA carries them (RFC 5321 §4.5.2): a dot that begins a line is doubled. */
final class DotStuffing {
    private final OutputStream out;
    private int last = '\n';
    private int beforeLast = '\r';

    DotStuffing(OutputStream out) {
        this.out = out;
    }

    void write(InputStream octets) throws IOException {
        for (int octet = octets.read(); octet >= 0; octet = octets.read()) {
            write((byte) octet);
        }
    }

    /** The final dot, on a line of its own. */
    void end() throws IOException {
        boolean lineOpen = last != '\n' || beforeLast != '\r';
        if (lineOpen) {
            out.write('\r');
            out.write('\n');
        }
        out.write('.');
        out.write('\r');
        out.write('\n');
    }

    private void write(byte octet) throws IOException {
        boolean lineStart = last == '\n' && beforeLast == '\r';
        if (octet == '.' && lineStart) {
            out.write('.');
        }
        out.write(octet);
        beforeLast = last;
        last = octet;
    }
}
