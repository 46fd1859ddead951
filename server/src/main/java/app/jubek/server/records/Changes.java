package app.jubek.server.records;

import app.jubek.core.wording.Statement;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.template.Templates;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Who changed rules and templates, so that it can be seen beside what was done. */
@Component
class Changes {
    private final RuleBooks books;
    private final Templates templates;

    Changes(RuleBooks books, Templates templates) {
        this.books = books;
        this.templates = templates;
    }

    /** What was changed. */
    enum Of {
        RULES,
        TEMPLATE
    }

    /**
     * @param name of the template; empty for rules
     * @param changes of rules, what was changed and in spite of what
     */
    record SavedChange(Instant at, String who, Of of, String name, int version, List<Statement> changes) {}

    /** The newest first. */
    List<SavedChange> between(UUID mailbox, Instant from, Instant until) {
        Stream<SavedChange> rules = books.changes(mailbox, from, until).stream()
                .map(one -> new SavedChange(
                        one.at(),
                        one.who(),
                        Of.RULES,
                        "",
                        one.version(),
                        Stream.concat(one.changes().stream(), one.notes().stream())
                                .toList()));
        Stream<SavedChange> texts = templates.changes(mailbox, from, until).stream()
                .map(one -> new SavedChange(
                        one.at(),
                        one.by(),
                        Of.TEMPLATE,
                        one.template().name(),
                        one.template().version(),
                        List.of()));
        return Stream.concat(rules, texts)
                .sorted(Comparator.comparing(SavedChange::at).reversed())
                .toList();
    }
}
