package app.jubek.server.smtp;

import app.jubek.core.message.ByteSource;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;

/**
 * What must be known of bytes before they are sent.
 *
 * @param eightBit some byte is above 127, so the server must take 8BITMIME (RFC 6152)
 * @param eightBitHeader one of them is in the header, so the server must take SMTPUTF8 (RFC 6531)
 * @param unsafeLine a dot follows a bare line end: some servers take it for the end of the message (RFC 5321 §4.1.1.4)
 */
record ContentScan(boolean eightBit, boolean eightBitHeader, boolean unsafeLine) {
    static ContentScan of(ByteSource bytes) throws IOException {
        boolean eightBit = false;
        boolean eightBitHeader = false;
        boolean inHeader = true;
        boolean unsafeLine = false;
        long lines = 0;
        int last = '\n';
        int beforeLast = '\r';
        try (InputStream in = new BufferedInputStream(bytes.open(), 1 << 16)) {
            for (int next = in.read(); next >= 0; next = in.read()) {
                boolean afterBareEnd = last == '\r' || last == '\n' && beforeLast != '\r';
                eightBit |= next > 127;
                eightBitHeader |= inHeader && next > 127;
                unsafeLine |= next == '.' && afterBareEnd;
                inHeader &= !(next == '\r' && last == '\n' && beforeLast == '\r' && lines > 0);
                lines += next == '\n' ? 1 : 0;
                beforeLast = last;
                last = next;
            }
        }
        return new ContentScan(eightBit, eightBitHeader, unsafeLine);
    }
}
