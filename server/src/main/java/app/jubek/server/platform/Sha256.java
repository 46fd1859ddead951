package app.jubek.server.platform;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.HexFormat;

/** Digests that stand for secrets and for what is not to be kept as it is (FIPS 180-4). */
public final class Sha256 {
    /** Of the whole digest. */
    public static final int BYTES = 32;

    private Sha256() {}

    /**
     * The beginning of a text's digest, in hexadecimal.
     *
     * @param bytes how much of it, up to {@link #BYTES}
     */
    public static String hex(String text, int bytes) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest, 0, bytes);
        } catch (GeneralSecurityException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
