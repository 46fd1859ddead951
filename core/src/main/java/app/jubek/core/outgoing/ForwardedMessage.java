package app.jubek.core.outgoing;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.safety.HopMark;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;

/**
 * A new message with the original's text inline under its main fields, and its attachments bit for bit. Where the
 * original could be read only in part, the whole of it goes along as an attached message instead.
 */
final class ForwardedMessage {
    private static final String PREFIX = "Fwd: ";
    private static final String LINE = "\r\n";

    private final Composer.Original original;
    private final String note;
    private final String hopMark;

    ForwardedMessage(Composer.Original original, String note, String hopMark) {
        this.original = original;
        this.note = note;
        this.hopMark = hopMark;
    }

    byte[] octets(Stamp stamp) {
        ReadMessage message = original.message();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(header(stamp).octets());
        boolean inline = message.notes().isEmpty();
        List<byte[]> parts = inline ? AttachedParts.of(original.octets().all()) : List.of(attachedMessage());
        String text = inline ? inlineText() : note + LINE;
        if (parts.isEmpty()) {
            write(out, MessageBody.plain(text));
            return out.toByteArray();
        }
        String boundary = OutgoingId.boundary(stamp.messageId());
        write(out, "Content-Type: multipart/mixed; boundary=\"" + boundary + "\"" + LINE + LINE);
        write(out, "--" + boundary + LINE + MessageBody.plain(text));
        for (byte[] part : parts) {
            write(out, LINE + "--" + boundary + LINE);
            out.writeBytes(part);
        }
        write(out, LINE + "--" + boundary + "--" + LINE);
        return out.toByteArray();
    }

    private HeaderBlock header(Stamp stamp) {
        ReadMessage message = original.message();
        HeaderBlock header = new HeaderBlock()
                .with("From", stamp.from())
                .with("To", stamp.to())
                .withText("Subject", PREFIX + message.subject())
                .raw("Date", stamp.date())
                .raw("Message-ID", stamp.messageId());
        List<String> references = ReplyMessage.references(message);
        if (!references.isEmpty()) {
            header.raw("References", String.join(" ", references));
        }
        return header.raw("Auto-Submitted", "auto-generated")
                .raw(HopMark.FIELD, hopMark)
                .raw("MIME-Version", "1.0");
    }

    private String inlineText() {
        ReadMessage message = original.message();
        StringBuilder text = new StringBuilder();
        if (!note.isBlank()) {
            text.append(note.strip()).append(LINE).append(LINE);
        }
        text.append("---------- original message ----------").append(LINE);
        mainField(text, "From", message.in(Role.FROM));
        message.values("Date").stream().findFirst().ifPresent(d -> line(text, "Date", d));
        line(text, "Subject", message.subject());
        mainField(text, "To", message.in(Role.TO));
        mainField(text, "Cc", message.in(Role.CC));
        text.append(LINE).append(String.join(LINE + LINE, message.texts()));
        return text.toString();
    }

    private static void mainField(StringBuilder text, String name, List<MailAddress> addresses) {
        if (!addresses.isEmpty()) {
            line(
                    text,
                    name,
                    String.join(
                            ", ",
                            addresses.stream().map(ForwardedMessage::shown).toList()));
        }
    }

    private static String shown(MailAddress address) {
        return address.name().isBlank() ? address.address() : address.name() + " <" + address.address() + ">";
    }

    private static void line(StringBuilder text, String name, String value) {
        text.append(name).append(": ").append(HeaderBlock.clean(value)).append(LINE);
    }

    private byte[] attachedMessage() {
        ByteArrayOutputStream part = new ByteArrayOutputStream();
        write(part, "Content-Type: message/rfc822" + LINE + "Content-Transfer-Encoding: 8bit" + LINE);
        write(part, "Content-Disposition: attachment; filename=\"original.eml\"" + LINE + LINE);
        part.writeBytes(original.octets().all());
        return part.toByteArray();
    }

    private static void write(ByteArrayOutputStream out, String text) {
        out.writeBytes(text.getBytes(StandardCharsets.UTF_8));
    }
}
