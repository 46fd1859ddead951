package app.jubek.demo.imap;

import java.io.ByteArrayOutputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The commands of a client, in which a message that is appended at noon keeps its hour. GreenMail reads the hours of such a
 * date as those of half a day, so that twelve o'clock is midnight; it takes more than sixty minutes for what they are.
 */
final class NoonDates extends FilterInputStream {
    private static final Pattern AT_NOON = Pattern.compile(
            "(?i)(\\S+ append [^\\r\\n]*\"[ \\d]\\d-\\w{3}-\\d{4} )12:(\\d\\d)(:\\d\\d [+-]\\d{4}\" \\{\\d+\\+?\\}\\r\\n)");

    private static final int MINUTES = 12 * 60;

    private byte[] line = {};
    private int next;

    NoonDates(InputStream commands) {
        super(commands);
    }

    @Override
    public int read() throws IOException {
        if (next == line.length) {
            line = read(new ByteArrayOutputStream());
            next = 0;
        }
        return line.length == 0 ? -1 : line[next++] & 0xff;
    }

    @Override
    public int read(byte[] into, int from, int most) throws IOException {
        int got = 0;
        while (got < most && (got == 0 || next < line.length)) {
            int one = read();
            if (one < 0) {
                return got == 0 ? -1 : got;
            }
            into[from + got++] = (byte) one;
        }
        return got;
    }

    @Override
    public int available() throws IOException {
        return line.length - next + super.available();
    }

    /** A client waits for an answer after the end of a line only. */
    private byte[] read(ByteArrayOutputStream whole) throws IOException {
        int one;
        do {
            one = in.read();
            if (one >= 0) {
                whole.write(one);
            }
        } while (one >= 0 && one != '\n');
        Matcher noon = AT_NOON.matcher(whole.toString(StandardCharsets.ISO_8859_1));
        if (!noon.matches()) {
            return whole.toByteArray();
        }
        int minutes = MINUTES + Integer.parseInt(noon.group(2));
        return (noon.group(1) + "00:" + minutes + noon.group(3)).getBytes(StandardCharsets.ISO_8859_1);
    }
}
