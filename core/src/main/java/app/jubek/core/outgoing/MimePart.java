package app.jubek.core.outgoing;

import com.google.re2j.Pattern;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;

/** One part of a message (RFC 2045, RFC 2046): its own header fields, an empty line, and its body. */
record MimePart(byte[] bytes) {
    private static final String LINE = "\r\n";
    private static final int LINE_LENGTH = 76;
    private static final int LONGEST_LINE = 990;
    private static final Pattern PLAIN_NAME = Pattern.compile("[A-Za-z0-9 ._+()-]+");
    private static final String SAFE = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789._-";
    private static final Base64.Encoder BASE64 =
            Base64.getMimeEncoder(LINE_LENGTH, LINE.getBytes(StandardCharsets.US_ASCII));

    static MimePart plain(String text) {
        return text("text/plain", text);
    }

    static MimePart html(String body) {
        return text(
                "text/html",
                "<!doctype html><html><head><meta charset=\"utf-8\"></head><body>" + body + "</body></html>");
    }

    /** UTF-8 in base64, unless it is ASCII in short lines. */
    private static MimePart text(String type, String text) {
        String lines =
                String.join(LINE, text.lines().toList()) + (text.endsWith("\n") || text.endsWith("\r") ? LINE : "");
        String body = lines.endsWith(LINE) ? lines : lines + LINE;
        boolean ascii = body.chars().allMatch(c -> c < 0x7F && (c >= ' ' || c == '\r' || c == '\n' || c == '\t'));
        if (ascii && body.lines().allMatch(line -> line.length() <= LONGEST_LINE)) {
            return of("Content-Type: " + type + "; charset=us-ascii" + LINE + "Content-Transfer-Encoding: 7bit", body);
        }
        return of(
                "Content-Type: " + type + "; charset=utf-8" + LINE + "Content-Transfer-Encoding: base64",
                base64(body.getBytes(StandardCharsets.UTF_8)));
    }

    /** A file that goes along. */
    static MimePart attached(String mediaType, String fileName, byte[] bytes) {
        return of(
                "Content-Type: " + mediaType + LINE + "Content-Disposition: attachment;" + LINE + fileName(fileName)
                        + LINE + "Content-Transfer-Encoding: base64",
                base64(bytes));
    }

    /** A picture that the rich form names (RFC 2392). */
    static MimePart shown(String mediaType, String contentId, byte[] bytes) {
        return of(
                "Content-Type: " + mediaType + LINE + "Content-Disposition: inline" + LINE + "Content-ID: <" + contentId
                        + ">" + LINE + "Content-Transfer-Encoding: base64",
                base64(bytes));
    }

    /** A whole message (RFC 2046 §5.2.1). */
    static MimePart message(byte[] bytes) {
        ByteArrayOutputStream part = new ByteArrayOutputStream();
        write(part, "Content-Type: message/rfc822" + LINE + "Content-Transfer-Encoding: 8bit" + LINE);
        write(part, "Content-Disposition: attachment; filename=\"original.eml\"" + LINE + LINE);
        part.writeBytes(bytes);
        return new MimePart(part.toByteArray());
    }

    /**
     * Several as one; one alone stays as it is.
     *
     * @param subtype mixed, related or alternative
     * @param seed from which the boundary follows
     */
    static MimePart multipart(String subtype, String seed, List<MimePart> parts) {
        if (parts.size() == 1) {
            return parts.get(0);
        }
        String boundary = OutgoingId.boundary(subtype + " " + seed);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        write(out, "Content-Type: multipart/" + subtype + "; boundary=\"" + boundary + "\"" + LINE);
        for (MimePart part : parts) {
            write(out, LINE + "--" + boundary + LINE);
            out.writeBytes(part.bytes());
        }
        write(out, LINE + "--" + boundary + "--" + LINE);
        return new MimePart(out.toByteArray());
    }

    /** RFC 2231 §4 for what is not plain ASCII. */
    private static String fileName(String name) {
        String clean = HeaderBlock.clean(name);
        boolean plain = PLAIN_NAME.matches(clean);
        if (plain) {
            return " filename=\"" + clean + "\"";
        }
        StringBuilder encoded = new StringBuilder();
        for (byte next : clean.getBytes(StandardCharsets.UTF_8)) {
            boolean safe = next > 0 && SAFE.indexOf(next) >= 0;
            encoded.append(safe ? Character.toString(next) : String.format("%%%02X", next & 0xFF));
        }
        return " filename*=utf-8''" + encoded;
    }

    private static String base64(byte[] bytes) {
        return BASE64.encodeToString(bytes) + LINE;
    }

    private static MimePart of(String header, String body) {
        return new MimePart((header + LINE + LINE + body).getBytes(StandardCharsets.UTF_8));
    }

    private static void write(ByteArrayOutputStream out, String text) {
        out.writeBytes(text.getBytes(StandardCharsets.UTF_8));
    }
}
