package app.jubek.core.safety;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.HeaderField;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.text.Pieces;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * The field that lists the Jubek mailboxes a message has passed, signed with the installation's secret, so that a loop
 * is seen even when every other trace of it is lost. A mark whose signature is wrong counts for nothing. The mailboxes
 * appear as keyed digests: the mark tells outsiders nothing.
 */
public final class HopMark {
    /** The field's name. */
    public static final String FIELD = "Jubek-Hops";

    private static final Pattern VALUE = Pattern.compile("v=1; m=([0-9a-f,]{16,400}); s=([0-9a-f]{64})");
    private static final int ID_LENGTH = 16;

    private final SecretKeySpec secret;

    /**
     * @param secret at least 16 bytes
     */
    public HopMark(byte[] secret) {
        if (secret.length < 16) {
            throw new IllegalArgumentException("the secret for hop marks needs at least 16 bytes");
        }
        this.secret = new SecretKeySpec(secret, "HmacSHA256");
    }

    /** The mailboxes passed according to all marks of the message that are truly ours. */
    public Set<String> passed(ReadMessage message) {
        Set<String> ids = new LinkedHashSet<>();
        for (HeaderField field : message.fields()) {
            if (field.is(FIELD)) {
                verified(field.raw()).ifPresent(ids::addAll);
            }
        }
        return ids;
    }

    public boolean hasPassed(ReadMessage message, MailAddress mailbox) {
        return passed(message).contains(id(mailbox));
    }

    /** The value of the mark for a message that this mailbox hands on. */
    public String next(ReadMessage message, MailAddress mailbox) {
        List<String> ids = new ArrayList<>(passed(message));
        ids.remove(id(mailbox));
        ids.add(id(mailbox));
        String joined = String.join(",", ids);
        return "v=1; m=" + joined + "; s=" + sign("mark " + joined);
    }

    /** 64 hexadecimal digits for a text, which nobody else can tell. */
    public String keyed(String text) {
        return sign("id " + text);
    }

    private Optional<List<String>> verified(String value) {
        Matcher matcher = VALUE.matcher(value.strip());
        if (!matcher.matches()) {
            return Optional.empty();
        }
        byte[] expected = sign("mark " + matcher.group(1)).getBytes(StandardCharsets.US_ASCII);
        boolean ours = MessageDigest.isEqual(expected, matcher.group(2).getBytes(StandardCharsets.US_ASCII));
        return ours ? Optional.of(Pieces.between(matcher.group(1), ',')) : Optional.empty();
    }

    private String id(MailAddress mailbox) {
        return sign("mailbox " + mailbox.key()).substring(0, ID_LENGTH);
    }

    private String sign(String text) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(secret);
            return HexFormat.of().formatHex(mac.doFinal(text.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
