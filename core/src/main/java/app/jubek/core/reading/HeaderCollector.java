package app.jubek.core.reading;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.AddressList;
import app.jubek.core.message.Attachment;
import app.jubek.core.message.DateFields;
import app.jubek.core.message.EncodedWords;
import app.jubek.core.message.HeaderField;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReadingNote;
import app.jubek.core.message.ReportPart;
import app.jubek.core.message.ReturnPath;
import app.jubek.core.message.Role;
import app.jubek.core.text.Limits;
import app.jubek.core.text.WhiteSpace;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The header of the message itself, field by field, and what follows from it. */
final class HeaderCollector {
    private final Limits limits;
    private final List<HeaderField> fields = new ArrayList<>();
    private final Set<Statement> notes = new LinkedHashSet<>();
    private boolean belowReceived;
    private Optional<String> returnPath = Optional.empty();
    private Optional<String> deliveredTo = Optional.empty();

    HeaderCollector(Limits limits) {
        this.limits = limits;
    }

    record Body(
            List<String> texts,
            Optional<String> html,
            List<Attachment> attachments,
            Set<String> mediaTypes,
            long size,
            boolean headerCut,
            List<Statement> notes,
            List<ReportPart> report) {}

    void add(org.apache.james.mime4j.stream.Field parsed) {
        String raw = RawFields.unfoldedBody(parsed);
        EncodedWords.Result decoded = EncodedWords.read(raw, limits.encodedWords());
        if (decoded.cut()) {
            notes.add(ReadingNote.ENCODED_WORDS_LEFT.with(limits.encodedWords()));
        }
        HeaderField field =
                new HeaderField(parsed.getName(), raw, decoded.text().strip());
        fields.add(field);
        if (field.is("Received")) {
            belowReceived = true;
        } else if (!belowReceived && field.is("Return-Path")) {
            returnPath = returnPath.or(() -> Optional.of(raw));
        } else if (!belowReceived && field.is("Delivered-To")) {
            deliveredTo = deliveredTo.or(() -> Optional.of(raw));
        }
    }

    ReadMessage message(Body body) {
        List<Statement> told = body.notes();
        told.addAll(notes);
        Map<Role, List<MailAddress>> addresses = addresses(told);
        ReturnPath path = returnPath.map(HeaderCollector::returnPath).orElseGet(ReturnPath.Absent::new);
        String subject = first("Subject").map(WhiteSpace::collapsed).orElse("");
        return new ReadMessage(
                path,
                deliveredTo.flatMap(
                        value -> AddressList.read(value, 1).addresses().stream().findFirst()),
                fields,
                addresses,
                subject,
                body.texts(),
                body.html(),
                body.attachments(),
                body.size(),
                date(told),
                Origin.of(fields, path, body.mediaTypes(), addresses, new BounceSigns(subject, body.texts())),
                first("Message-ID").flatMap(MessageIds::first),
                references(),
                body.headerCut(),
                told,
                body.report());
    }

    private Map<Role, List<MailAddress>> addresses(List<Statement> notes) {
        Map<Role, List<MailAddress>> found = new EnumMap<>(Role.class);
        for (Role role : Role.values()) {
            List<MailAddress> all = new ArrayList<>();
            for (HeaderField field : fields) {
                if (field.is(role.field())) {
                    AddressList list = AddressList.read(field.raw(), limits.addresses());
                    all.addAll(list.addresses());
                    list.note(role.field()).ifPresent(notes::add);
                }
            }
            if (!all.isEmpty()) {
                found.put(role, List.copyOf(all));
            }
        }
        return found;
    }

    private static ReturnPath returnPath(String value) {
        String plain = value.strip();
        if (plain.equals("<>")) {
            return new ReturnPath.Null();
        }
        return AddressList.read(plain, 1).addresses().stream()
                .findFirst()
                .<ReturnPath>map(ReturnPath.To::new)
                .orElseGet(ReturnPath.Absent::new);
    }

    private Optional<String> first(String name) {
        return fields.stream().filter(f -> f.is(name)).map(HeaderField::value).findFirst();
    }

    private Optional<Instant> date(List<Statement> notes) {
        Optional<String> written = first("Date");
        Optional<Instant> date = written.flatMap(DateFields::parse);
        if (written.isPresent() && date.isEmpty()) {
            notes.add(ReadingNote.NO_DATE.with());
        }
        return date;
    }

    private List<String> references() {
        Set<String> ids = new LinkedHashSet<>();
        for (HeaderField field : fields) {
            if (field.is("References") || field.is("In-Reply-To")) {
                ids.addAll(MessageIds.in(field.value(), limits.parts() - ids.size()));
            }
        }
        return List.copyOf(ids);
    }
}
