package app.jubek.core.outgoing;

import app.jubek.core.address.MailAddress;
import java.io.ByteArrayOutputStream;
import java.time.ZonedDateTime;

/** A message to one of our own aliases, sent to see whether it arrives. */
public final class AliasTestMessage {
    private AliasTestMessage() {}

    /**
     * @param messageId with angle brackets; by it the message is known again
     */
    public static byte[] bytes(MailAddress from, MailAddress alias, String messageId, ZonedDateTime at) {
        Stamp stamp = new Stamp(from, alias, messageId, at);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(new HeaderBlock()
                .with("From", from)
                .with("To", alias)
                .withText("Subject", "Test: does mail to " + alias.address() + " arrive?")
                .raw("Date", stamp.date())
                .raw("Message-ID", messageId)
                .raw("Auto-Submitted", "auto-generated")
                .raw("MIME-Version", "1.0")
                .bytes());
        out.writeBytes(MimePart.plain("Jubek sent this to see whether mail to this address matches the mailbox.\n"
                        + "No rule acts on it. It can be deleted.\n")
                .bytes());
        return out.toByteArray();
    }
}
