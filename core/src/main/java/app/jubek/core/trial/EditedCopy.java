package app.jubek.core.trial;

import app.jubek.core.message.AddressList;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.HeaderField;
import app.jubek.core.message.HowSent;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.HeaderBlock;
import app.jubek.core.text.Limits;
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
    /** When it was written, and what it answers (RFC 5322 §3.6.1, §3.6.4). */
    private static final Set<String> PLACED = Set.of("date", "message-id", "in-reply-to", "references");

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
        return ByteSource.of(header.message(text, original.fileNames()));
    }

    private static Stream<HeaderField> kept(ReadMessage original) {
        return original.fields().stream()
                .filter(field ->
                        HowSent.isSaidBy(field) || PLACED.contains(field.name().toLowerCase(Locale.ROOT)));
    }
}
