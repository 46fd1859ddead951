package app.jubek.server.smtp;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;

/** The bytes of a message as DATA carries them (RFC 5321 §4.5.2): a dot that begins a line is doubled. */
final class DotStuffing {
    private final OutputStream out;
    private int last = '\n';
    private int beforeLast = '\r';

    DotStuffing(OutputStream out) {
        this.out = out;
    }

    void write(InputStream bytes) throws IOException {
        for (int next = bytes.read(); next >= 0; next = bytes.read()) {
            write((byte) next);
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

    private void write(byte next) throws IOException {
        boolean lineStart = last == '\n' && beforeLast == '\r';
        if (next == '.' && lineStart) {
            out.write('.');
        }
        out.write(next);
        beforeLast = last;
        last = next;
    }
}
