package app.jubek.core.message;

import app.jubek.core.address.MailAddress;
import app.jubek.core.text.Limits;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

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
 * @param size bytes
 * @param date the Date field, where it can be one
 * @param messageId with its angle brackets
 * @param references Message-IDs of References and In-Reply-To, with angle brackets
 * @param headerCut whether a part of the header was not read because it is too long: what was in there nobody knows
 * @param notes what could not be read and why
 * @param report parts that a program wrote for programs, of a message that tells of a delivery
 */
public record ReadMessage(
        ReturnPath returnPath,
        Optional<MailAddress> deliveredTo,
        List<HeaderField> fields,
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
        boolean headerCut,
        List<Statement> notes,
        List<ReportPart> report) {
    public ReadMessage {
        fields = List.copyOf(fields);
        addresses = Map.copyOf(addresses);
        texts = List.copyOf(texts);
        attachments = List.copyOf(attachments);
        sentBy = Set.copyOf(sentBy);
        references = List.copyOf(references);
        notes = List.copyOf(notes);
        report = List.copyOf(report);
    }

    /** The same with one more note. */
    public ReadMessage withNote(Statement note) {
        return with(
                fields,
                addresses,
                Stream.concat(notes.stream(), Stream.of(note)).toList());
    }

    /** The same as if this one person had written it. */
    public ReadMessage writtenBy(MailAddress sender) {
        Map<Role, List<MailAddress>> changed = new EnumMap<>(Role.class);
        changed.putAll(addresses);
        changed.put(Role.FROM, List.of(sender));
        HeaderField from = new HeaderField("From", sender.inFull(), sender.inFull());
        Stream<HeaderField> others = fields.stream().filter(field -> !field.is("From"));
        return with(Stream.concat(Stream.of(from), others).toList(), changed, notes);
    }

    private ReadMessage with(List<HeaderField> header, Map<Role, List<MailAddress>> people, List<Statement> told) {
        return new ReadMessage(
                returnPath,
                deliveredTo,
                header,
                people,
                subject,
                texts,
                html,
                attachments,
                size,
                date,
                sentBy,
                messageId,
                references,
                headerCut,
                told,
                report);
    }

    public List<MailAddress> in(Role role) {
        return addresses.getOrDefault(role, List.of());
    }

    /** To and Cc together. */
    public List<MailAddress> recipients() {
        return Stream.concat(in(Role.TO).stream(), in(Role.CC).stream()).toList();
    }

    /** What the files are called that come with it, those without a name left out. */
    public List<String> fileNames() {
        return attachments.stream()
                .map(Attachment::name)
                .filter(name -> !name.isBlank())
                .toList();
    }

    /** When it came in, as far as the message itself tells: by its topmost Received field, else by its Date. */
    public Optional<Instant> receivedByItself() {
        return DateFields.received(fields).or(() -> date);
    }

    public List<String> values(String field) {
        List<String> values = new ArrayList<>(1);
        for (HeaderField one : fields) {
            if (one.is(field)) {
                values.add(one.value());
            }
        }
        return values;
    }

    public boolean has(String field) {
        for (HeaderField one : fields) {
            if (one.is(field)) {
                return true;
            }
        }
        return false;
    }

    /** The addresses of a field, of all of them that have its name. */
    public List<MailAddress> addressesIn(String field) {
        for (Role role : Role.values()) {
            if (role.field().equalsIgnoreCase(field)) {
                return in(role);
            }
        }
        return fields.stream()
                .filter(f -> f.is(field))
                .flatMap(f -> AddressList.read(f.raw(), Limits.standard().addresses()).addresses().stream())
                .toList();
    }

    /** The sender as shown to people: the first From, or where there is none the return path. */
    public Optional<MailAddress> sender() {
        return in(Role.FROM).stream().findFirst().or(() -> returnPath.address());
    }
}
