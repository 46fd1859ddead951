package app.jubek.demo.garden;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A message before it is written out. */
record Draft(
        String kind,
        String from,
        String returnPath,
        String to,
        String subject,
        String text,
        Form form,
        List<String> fields,
        Optional<Enclosure> enclosure) {

    /** How the text is carried. */
    enum Form {
        PLAIN,
        HTML_ONLY,
        ALTERNATIVE,
        REPORT,
        CALENDAR
    }

    /** An attached file. */
    record Enclosure(String name, String mediaType, byte[] bytes) {}

    static Draft plain(String kind, Person from, String subject, String text) {
        return new Draft(
                kind,
                from.written(),
                from.address(),
                GardenMail.VISITS,
                subject,
                text,
                Form.PLAIN,
                List.of(),
                Optional.empty());
    }

    /** The Message-ID it answers, where it answers something the desk sent. */
    Optional<String> answers() {
        String field = "In-Reply-To: ";
        return fields.stream()
                .filter(f -> f.startsWith(field))
                .map(f -> f.substring(field.length()))
                .findFirst();
    }

    Draft to(String recipient) {
        return new Draft(kind, from, returnPath, recipient, subject, text, form, fields, enclosure);
    }

    Draft in(Form other) {
        return new Draft(kind, from, returnPath, to, subject, text, other, fields, enclosure);
    }

    Draft with(String... more) {
        List<String> all = new ArrayList<>(fields);
        all.addAll(List.of(more));
        return new Draft(kind, from, returnPath, to, subject, text, form, all, enclosure);
    }

    Draft path(String other) {
        return new Draft(kind, from, other, to, subject, text, form, fields, enclosure);
    }

    Draft enclosing(Enclosure file) {
        return new Draft(kind, from, returnPath, to, subject, text, form, fields, Optional.of(file));
    }
}
