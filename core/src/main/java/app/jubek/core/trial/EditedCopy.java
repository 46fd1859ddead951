package app.jubek.core.trial;

import app.jubek.core.message.AddressList;
import app.jubek.core.message.Attachment;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.HeaderField;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.HeaderBlock;
import app.jubek.core.text.Limits;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A copy of a message with some of it written anew. The fields that say how it was sent stay; other recipients, former
 * ways and signatures of servers go, the text is plain, and of attachments the names are left.
 *
 * @param from as a person writes it, with or without a name
 * @param to several are parted by commas
 */
public record EditedCopy(String from, String to, String subject, String text) {
    /** What says how a message was sent, and what it answers (RFC 3834, RFC 2919, RFC 2369, RFC 5322 §3.6.4). */
    private static final Set<String> KEPT = Set.of(
            "auto-submitted",
            "precedence",
            "list-id",
            "list-unsubscribe",
            "list-post",
            "x-auto-response-suppress",
            "in-reply-to",
            "references",
            "message-id",
            "importance",
            "x-priority",
            "date");

    /** The message as it is edited. */
    public ByteSource of(ReadMessage original) {
        HeaderBlock header = new HeaderBlock();
        AddressList senders = AddressList.read(from, Limits.standard().addresses());
        senders.addresses().stream()
                .findFirst()
                .ifPresent(sender -> header.raw("Return-Path", "<" + sender.address() + ">"));
        header.with("From", senders.addresses());
        header.with("To", AddressList.read(to, Limits.standard().addresses()).addresses());
        header.withText("Subject", subject.strip());
        kept(original).forEach(field -> header.raw(field.name(), field.raw().strip()));
        List<String> files = original.attachments().stream()
                .map(Attachment::name)
                .filter(name -> !name.isBlank())
                .toList();
        return ByteSource.of(header.message(text, files));
    }

    private static Stream<HeaderField> kept(ReadMessage original) {
        return original.fields().stream()
                .filter(field -> KEPT.contains(field.name().toLowerCase(Locale.ROOT)));
    }
}
