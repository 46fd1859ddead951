package app.jubek.server.intake;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.Attachment;
import app.jubek.core.message.HeaderField;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReturnPath;
import app.jubek.core.message.Role;
import app.jubek.core.message.SentBy;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What criteria ask for besides subject and texts, kept beside them so that past mail is looked at without reading its
 * bytes again.
 *
 * @param returnPath empty for the null path
 * @param date the Date field, in milliseconds since 1970
 * @param conversation whether it answers something this mailbox sent
 * @param headerCut whether a part of its header was not read
 */
record StoredParts(
        List<Pair> fields,
        Map<Role, List<Pair>> addresses,
        @Nullable String returnPath,
        @Nullable String deliveredTo,
        List<Attachment> attachments,
        @Nullable Long date,
        Set<SentBy> sentBy,
        List<String> references,
        boolean conversation,
        boolean headerCut) {
    /** Longer values of fields, such as signatures, are kept cut. */
    private static final int LONGEST_VALUE = 1_000;

    /** Of longer texts the beginning is seen by the evidence. */
    private static final int LONGEST_TEXT = 1 << 16;

    /** A field's name and value, or a person's name and address. */
    record Pair(String name, String value) {
        static Pair of(HeaderField field) {
            String value = field.value();
            return new Pair(
                    storable(field.name()), storable(value.substring(0, Math.min(value.length(), LONGEST_VALUE))));
        }

        static Pair of(MailAddress address) {
            return new Pair(storable(address.name()), storable(address.address()));
        }

        HeaderField field() {
            return new HeaderField(name, value, value);
        }

        MailAddress address() {
            return written(value).named(name);
        }
    }

    static StoredParts of(ReadMessage message, boolean conversation) {
        Map<Role, List<Pair>> addresses = new EnumMap<>(Role.class);
        message.addresses()
                .forEach((role, all) ->
                        addresses.put(role, all.stream().map(Pair::of).toList()));
        return new StoredParts(
                message.fields().stream().map(Pair::of).toList(),
                addresses,
                message.returnPath() instanceof ReturnPath.Null
                        ? ""
                        : address(message.returnPath().address()),
                address(message.deliveredTo()),
                message.attachments().stream()
                        .map(a -> new Attachment(storable(a.name()), storable(a.mediaType()), a.bytes()))
                        .toList(),
                message.date().map(Instant::toEpochMilli).orElse(null),
                message.sentBy(),
                message.references().stream().map(StoredParts::storable).toList(),
                conversation,
                message.headerCut());
    }

    private static @Nullable String address(Optional<MailAddress> address) {
        return address.map(MailAddress::address).map(StoredParts::storable).orElse(null);
    }

    /** PostgreSQL takes no NUL in text. */
    static String storable(String text) {
        return text.replace("\0", "\uFFFD");
    }

    /** An address as it was kept, whatever a hostile sender wrote into it. */
    private static MailAddress written(String address) {
        int at = address.lastIndexOf('@');
        return at < 0
                ? new MailAddress("", address, "")
                : new MailAddress("", address.substring(0, at), address.substring(at + 1));
    }

    private ReturnPath path() {
        if (returnPath == null) {
            return new ReturnPath.Absent();
        }
        return returnPath.isEmpty() ? new ReturnPath.Null() : new ReturnPath.To(written(returnPath));
    }

    /** The message as criteria see it; it has no markup. */
    ReadMessage message(
            String subject, List<String> texts, long size, Optional<String> messageId, List<Statement> notes) {
        Map<Role, List<MailAddress>> people = new EnumMap<>(Role.class);
        addresses.forEach(
                (role, all) -> people.put(role, all.stream().map(Pair::address).toList()));
        return new ReadMessage(
                path(),
                Optional.ofNullable(deliveredTo).map(StoredParts::written),
                fields.stream().map(Pair::field).toList(),
                people,
                subject,
                texts.stream()
                        .map(text -> text.substring(0, Math.min(text.length(), LONGEST_TEXT)))
                        .toList(),
                Optional.empty(),
                attachments,
                size,
                Optional.ofNullable(date).map(Instant::ofEpochMilli),
                sentBy,
                messageId,
                references,
                headerCut,
                notes,
                List.of());
    }
}
