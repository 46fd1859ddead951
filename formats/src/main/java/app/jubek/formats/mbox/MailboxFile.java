package app.jubek.formats.mbox;

import com.google.re2j.Pattern;
import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/**
 * The messages of one file, one after the other. A message begins after a line of "From ", an address and a time, at the
 * file's beginning or below an empty line (RFC 4155 App. A); ">From " in a message loses one ">" (common practice).
 */
public final class MailboxFile implements AutoCloseable {
    private static final byte[] SEPARATOR = "From ".getBytes(StandardCharsets.US_ASCII);

    private static final Pattern SEPARATOR_LINE = Pattern.compile("^From \\S.*\\d:\\d\\d.*\\d{4}\\s*$");

    private final InputStream in;
    private byte[] line;

    public MailboxFile(InputStream file) throws IOException {
        in = new BufferedInputStream(file, 1 << 16);
        line = readLine();
    }

    /** Whether bytes look like the beginning of such a file. */
    public static boolean begins(byte[] bytes) {
        return startsWith(bytes, 0);
    }

    /** The bytes of the next message; empty at the end. */
    public Optional<byte[]> next() throws IOException {
        while (line.length > 0 && !startsWith(line, 0)) {
            line = readLine();
        }
        if (line.length == 0) {
            return Optional.empty();
        }
        line = readLine();
        ByteArrayOutputStream message = new ByteArrayOutputStream();
        boolean afterEmpty = false;
        while (line.length > 0 && !(afterEmpty && isSeparator(line))) {
            message.write(line, isQuoted(line) ? 1 : 0, line.length - (isQuoted(line) ? 1 : 0));
            afterEmpty = line[0] == '\n' || line[0] == '\r';
            line = readLine();
        }
        return Optional.of(withoutLastEmptyLine(message.toByteArray()));
    }

    /** The empty line before a separator belongs to the file. */
    private static byte[] withoutLastEmptyLine(byte[] message) {
        int end = message.length;
        boolean crlf = end >= 2 && message[end - 2] == '\r';
        int cut = crlf ? 2 : 1;
        boolean empty = end > cut && message[end - 1] == '\n' && message[end - cut - 1] == '\n';
        return empty ? java.util.Arrays.copyOf(message, end - cut) : message;
    }

    private static boolean isQuoted(byte[] line) {
        int at = 0;
        while (at < line.length && line[at] == '>') {
            at++;
        }
        return at > 0 && startsWith(line, at);
    }

    /** It ends in a time and a year, so that a sentence that begins with "From " is none. */
    private static boolean isSeparator(byte[] line) {
        return startsWith(line, 0)
                && SEPARATOR_LINE
                        .matcher(new String(line, StandardCharsets.ISO_8859_1))
                        .find();
    }

    private static boolean startsWith(byte[] line, int from) {
        return line.length >= from + SEPARATOR.length
                && java.util.Arrays.equals(line, from, from + SEPARATOR.length, SEPARATOR, 0, SEPARATOR.length);
    }

    private byte[] readLine() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        int next;
        do {
            next = in.read();
            if (next >= 0) {
                bytes.write(next);
            }
        } while (next >= 0 && next != '\n');
        return bytes.toByteArray();
    }

    @Override
    public void close() throws IOException {
        in.close();
    }
}
