package app.jubek.core.outgoing;

import java.nio.charset.StandardCharsets;
import java.util.Base64;

/** Plain text as a MIME body: UTF-8, base64 unless it is short-lined ASCII. */
final class MessageBody {
    private static final int LINE = 76;
    private static final Base64.Encoder BASE64 =
            Base64.getMimeEncoder(LINE, "\r\n".getBytes(StandardCharsets.US_ASCII));

    private MessageBody() {}

    static String plain(String text) {
        String lines = text.replaceAll("\\r\\n?|\\n", "\r\n");
        String body = lines.endsWith("\r\n") ? lines : lines + "\r\n";
        boolean ascii = body.chars().allMatch(c -> c < 0x7F && (c >= ' ' || c == '\r' || c == '\n' || c == '\t'));
        boolean shortLines = body.lines().allMatch(line -> line.length() <= 990);
        if (ascii && shortLines) {
            return "Content-Type: text/plain; charset=us-ascii\r\nContent-Transfer-Encoding: 7bit\r\n\r\n" + body;
        }
        return "Content-Type: text/plain; charset=utf-8\r\nContent-Transfer-Encoding: base64\r\n\r\n"
                + BASE64.encodeToString(body.getBytes(StandardCharsets.UTF_8))
                + "\r\n";
    }
}
