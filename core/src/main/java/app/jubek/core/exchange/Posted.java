package app.jubek.core.exchange;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ByteSource;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;

/**
 * A message as it is handed to the mail.
 *
 * @param envelopeSender empty for the null path
 */
public record Posted(Optional<MailAddress> envelopeSender, List<MailAddress> to, byte[] bytes) {
    public Posted {
        to = List.copyOf(to);
    }

    /** As one recipient has it, with what the last hop writes on top (RFC 5321 §4.4). */
    ByteSource arrived(MailAddress recipient) {
        String path = envelopeSender.map(MailAddress::address).orElse("");
        String trace = "Return-Path: <" + path + ">\r\nDelivered-To: " + recipient.address() + "\r\n";
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        all.writeBytes(trace.getBytes(StandardCharsets.UTF_8));
        all.writeBytes(bytes);
        return ByteSource.of(all.toByteArray());
    }
}
