package app.jubek.core.realtest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.HowSent;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.outgoing.HeaderBlock;
import app.jubek.core.outgoing.Stamp;
import app.jubek.core.people.OwnSide;
import java.io.ByteArrayOutputStream;
import java.util.List;

/**
 * A trial's message as it is sent again: its words and how it was sent, in the name of who sends it now. It answers
 * nothing, so that no conversation goes on by it, and names no recipients but the mailbox's own addresses.
 */
public final class TestMessage {
    /** Real tests are told from other mail by this and what follows it. */
    private static final String ID_BEGINS = "<real-test-";

    private TestMessage() {}

    /**
     * @param id of the test
     */
    public static String messageId(String id, MailAddress from) {
        return ID_BEGINS + id + "@" + from.domain() + ">";
    }

    /** Whether this may be the Message-ID of a real test. */
    public static boolean isMessageId(String id) {
        return id.startsWith(ID_BEGINS);
    }

    /**
     * @param stamp whose recipient is the mailbox
     */
    public static byte[] bytes(ReadMessage original, OwnSide own, Stamp stamp) {
        List<MailAddress> to = own(original, Role.TO, own);
        List<MailAddress> cc = own(original, Role.CC, own);
        HeaderBlock header = new HeaderBlock()
                .with("From", stamp.from())
                .with("To", to.isEmpty() && cc.isEmpty() ? List.of(stamp.to()) : to)
                .with("Cc", cc)
                .withText("Subject", original.subject())
                .raw("Date", stamp.date())
                .raw("Message-ID", stamp.messageId())
                .raw("Comments", "A test of rules; it can be deleted");
        original.fields().stream()
                .filter(HowSent::isSaidBy)
                .forEach(field -> header.raw(field.name(), field.raw().strip()));
        return header.message(String.join("\n\n", original.texts()), original.fileNames());
    }

    /** As the mailbox's server writes it down: with the return path that it came by (RFC 5321 §4.4). */
    public static byte[] asItComesIn(byte[] sent, MailAddress from) {
        byte[] path =
                new HeaderBlock().raw("Return-Path", "<" + from.address() + ">").bytes();
        ByteArrayOutputStream received = new ByteArrayOutputStream(path.length + sent.length);
        received.writeBytes(path);
        received.writeBytes(sent);
        return received.toByteArray();
    }

    private static List<MailAddress> own(ReadMessage original, Role role, OwnSide own) {
        return original.in(role).stream().filter(own::isOwn).toList();
    }
}
