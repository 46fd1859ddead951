package app.jubek.core.message;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Set;

/** The fields that each hop writes on top of a message (RFC 5321 §4.4): they differ between two copies of one mail. */
public final class TraceFields {
    private static final Set<String> NAMES =
            Set.of("return-path", "received", "delivered-to", "x-original-to", "envelope-to", "authentication-results");

    private TraceFields() {}

    /** SHA-256, in hex, of the octets below the trace fields. */
    public static String digestBelow(byte[] octets) {
        int from = 0;
        while (from < octets.length && NAMES.contains(nameAt(octets, from))) {
            from = fieldEnd(octets, from);
        }
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            digest.update(octets, from, octets.length - from);
            return HexFormat.of().formatHex(digest.digest());
        } catch (GeneralSecurityException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }

    /** The octets without the Return-Path fields of the header; all others untouched and in place. */
    public static byte[] withoutReturnPath(byte[] octets) {
        byte[] kept = new byte[octets.length];
        int length = 0;
        int at = 0;
        while (at < octets.length && octets[at] != '\r' && octets[at] != '\n') {
            int end = fieldEnd(octets, at);
            if (!nameAt(octets, at).equals("return-path")) {
                System.arraycopy(octets, at, kept, length, end - at);
                length += end - at;
            }
            at = end;
        }
        System.arraycopy(octets, at, kept, length, octets.length - at);
        return Arrays.copyOf(kept, length + octets.length - at);
    }

    private static String nameAt(byte[] octets, int from) {
        int at = from;
        while (at < octets.length && octets[at] > ' ' && octets[at] != ':' && at - from < 80) {
            at++;
        }
        boolean named = at < octets.length && octets[at] == ':';
        return named ? new String(octets, from, at - from, StandardCharsets.US_ASCII).toLowerCase(Locale.ROOT) : "";
    }

    /** After the line end of the last line of the field that begins here, continuation lines included. */
    private static int fieldEnd(byte[] octets, int from) {
        int at = from;
        do {
            while (at < octets.length && octets[at] != '\n') {
                at++;
            }
            at = Math.min(at + 1, octets.length);
        } while (at < octets.length && (octets[at] == ' ' || octets[at] == '\t'));
        return at;
    }
}
