package app.jubek.server.delivery;

import app.jubek.core.message.Octets;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;

/**
 * What must be known of octets before they are sent.
 *
 * @param eightBit some octet is above 127, so the server must take 8BITMIME (RFC 6152)
 * @param unsafeLine a dot follows a bare line end: some servers take it for the end of the message (RFC 5321 §4.1.1.4)
 */
record ContentScan(boolean eightBit, boolean unsafeLine) {
    static ContentScan of(Octets octets) throws IOException {
        boolean eightBit = false;
        boolean unsafeLine = false;
        int last = '\n';
        int beforeLast = '\r';
        try (InputStream in = new BufferedInputStream(octets.open(), 1 << 16)) {
            for (int octet = in.read(); octet >= 0; octet = in.read()) {
                boolean afterBareEnd = last == '\r' || last == '\n' && beforeLast != '\r';
                eightBit |= octet > 127;
                unsafeLine |= octet == '.' && afterBareEnd;
                beforeLast = last;
                last = octet;
            }
        }
        return new ContentScan(eightBit, unsafeLine);
    }
}
