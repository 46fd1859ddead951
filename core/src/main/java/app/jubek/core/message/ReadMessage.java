package app.jubek.core.message;

import app.jubek.core.address.MailAddress;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A message as it was read, once.
 *
 * @param returnPath the topmost, written above the first Received field
 * @param deliveredTo the topmost Delivered-To above the first Received field
 * @param fields in order, duplicates kept
 * @param addresses by role; a role that is absent is not in the map
 * @param subject decoded, white space folded to one space; empty when absent
 * @param texts the extracted text of each text part
 * @param html the markup of the first HTML part, for showing only
 * @param size octets
 * @param date the Date field, where it can be one
 * @param messageId with its angle brackets
 * @param references Message-IDs of References and In-Reply-To, with angle brackets
 * @param notes what could not be read and why, in plain words
 */
public record ReadMessage(
        ReturnPath returnPath,
        Optional<MailAddress> deliveredTo,
        List<Field> fields,
        Map<Role, List<MailAddress>> addresses,
        String subject,
        List<String> texts,
        Optional<String> html,
        List<Attachment> attachments,
        long size,
        Optional<Instant> date,
        Set<SentBy> sentBy,
        Optional<String> messageId,
        List<String> references,
        List<String> notes) {
    public ReadMessage {
        fields = List.copyOf(fields);
        addresses = Map.copyOf(addresses);
        texts = List.copyOf(texts);
        attachments = List.copyOf(attachments);
        sentBy = Set.copyOf(sentBy);
        references = List.copyOf(references);
        notes = List.copyOf(notes);
    }

    public List<MailAddress> in(Role role) {
        return addresses.getOrDefault(role, List.of());
    }

    /** To and Cc together. */
    public List<MailAddress> recipients() {
        return java.util.stream.Stream.concat(in(Role.TO).stream(), in(Role.CC).stream())
                .toList();
    }

    public List<String> values(String field) {
        return fields.stream().filter(f -> f.is(field)).map(Field::value).toList();
    }

    public boolean has(String field) {
        return fields.stream().anyMatch(f -> f.is(field));
    }

    /** The writer as shown to people: the first From, or where there is none the return path. */
    public Optional<MailAddress> writer() {
        return in(Role.FROM).stream().findFirst().or(() -> returnPath.address());
    }
}
