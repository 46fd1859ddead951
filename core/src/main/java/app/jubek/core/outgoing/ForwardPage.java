package app.jubek.core.outgoing;

import app.jubek.core.safety.HopMark;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Optional;

/**
 * The page on which whoever got a forward says what becomes of it. Its address follows from the Message-ID and the
 * installation's secret, so that only who has the message itself knows it, and nothing of it is stored.
 *
 * @param before what its address begins with
 */
public record ForwardPage(String before) {
    private static final int DIGITS = 32;
    private static final Pattern TOKEN = Pattern.compile("([0-9a-f]{32})([0-9a-f]{32})");

    /**
     * @param messageId of the forward, with angle brackets
     */
    String of(HopMark secret, String messageId) {
        String id = messageId.substring(1, messageId.indexOf('@'));
        return before + id + mark(secret, id);
    }

    /** What stands before the @ of the Message-ID for which a token was made; empty for one that is not ours. */
    public static Optional<String> id(HopMark secret, String token) {
        Matcher parts = TOKEN.matcher(token);
        if (!parts.matches()) {
            return Optional.empty();
        }
        byte[] expected = mark(secret, parts.group(1)).getBytes(StandardCharsets.US_ASCII);
        boolean ours = MessageDigest.isEqual(expected, parts.group(2).getBytes(StandardCharsets.US_ASCII));
        return ours ? Optional.of(parts.group(1)) : Optional.empty();
    }

    private static String mark(HopMark secret, String id) {
        return secret.keyed("page of " + id).substring(0, DIGITS);
    }
}
