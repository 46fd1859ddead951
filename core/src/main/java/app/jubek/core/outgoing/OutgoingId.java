package app.jubek.core.outgoing;

import app.jubek.core.address.MailAddress;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Sending;
import app.jubek.core.safety.HopMark;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.HexFormat;

/**
 * A Message-ID that follows from message, rule version, step and recipient, so that a repeat is known as one; with the
 * installation's secret, so that nobody can name it who has not seen it: a bounce that does comes from where it went.
 */
final class OutgoingId {
    private static final int DIGITS = 32;

    private OutgoingId() {}

    static String of(HopMark secret, MailAddress mailbox, String digest, PlannedStep planned, MailAddress to) {
        String what = String.join(
                "\n",
                mailbox.key(),
                digest,
                planned.rule().value(),
                Integer.toString(planned.ruleVersion()),
                Integer.toString(planned.ordinal()),
                to.key() + (planned.sending().filter(Sending::isCopy).isPresent() ? " copy" : ""));
        return "<" + secret.keyed(what).substring(0, DIGITS) + "@" + mailbox.domain() + ">";
    }

    static String boundary(String messageId) {
        return "=_" + hex("boundary " + messageId);
    }

    private static String hex(String what) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(what.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest).substring(0, DIGITS);
        } catch (GeneralSecurityException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
