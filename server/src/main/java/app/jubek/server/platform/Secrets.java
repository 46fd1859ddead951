package app.jubek.server.platform;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Arrays;
import javax.crypto.Cipher;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.stereotype.Component;

/**
 * Mail passwords at rest: AES-256-GCM under a key that is kept outside the database; the key's name goes with them. The
 * key file with the highest number seals; older ones only open.
 */
@Component
public class Secrets {
    private static final String KEY = "secrets";
    private static final int NONCE = 12;
    private static final int TAG_BITS = 128;

    private final InstallationKeys keys;

    Secrets(InstallationKeys keys) {
        this.keys = keys;
    }

    /** What is stored. */
    public record Sealed(String keyId, byte[] bytes) {}

    public String currentKey() {
        return KEY + "-" + keys.newest(KEY);
    }

    public Sealed seal(String secret) {
        byte[] nonce = new byte[NONCE];
        new SecureRandom().nextBytes(nonce);
        String keyId = currentKey();
        byte[] sealed = run(Cipher.ENCRYPT_MODE, keyId, nonce, secret.getBytes(StandardCharsets.UTF_8));
        byte[] bytes = ByteBuffer.allocate(NONCE + sealed.length)
                .put(nonce)
                .put(sealed)
                .array();
        return new Sealed(keyId, bytes);
    }

    public String open(Sealed sealed) {
        byte[] nonce = Arrays.copyOf(sealed.bytes(), NONCE);
        byte[] rest = Arrays.copyOfRange(sealed.bytes(), NONCE, sealed.bytes().length);
        return new String(run(Cipher.DECRYPT_MODE, sealed.keyId(), nonce, rest), StandardCharsets.UTF_8);
    }

    private byte[] run(int mode, String keyId, byte[] nonce, byte[] bytes) {
        try {
            Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
            cipher.init(mode, new SecretKeySpec(keys.key(keyId), "AES"), new GCMParameterSpec(TAG_BITS, nonce));
            return cipher.doFinal(bytes);
        } catch (GeneralSecurityException wrongKey) {
            throw new IllegalStateException(
                    "a stored password can't be opened with the key " + keyId + ": was the key file replaced?",
                    wrongKey);
        }
    }
}
