package app.jubek.server.records;

import app.jubek.core.people.Agreement;
import app.jubek.core.rule.SettingChange;
import app.jubek.core.wording.Statement;
import app.jubek.server.agreement.StoredAgreements;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.setting.SettingChanges;
import app.jubek.server.template.Templates;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Who changed rules, templates and settings, so that it can be seen beside what was done. */
@Component
class Changes {
    private final RuleBooks books;
    private final Templates templates;
    private final SettingChanges settings;
    private final StoredAgreements agreements;

    Changes(RuleBooks books, Templates templates, SettingChanges settings, StoredAgreements agreements) {
        this.books = books;
        this.templates = templates;
        this.settings = settings;
        this.agreements = agreements;
    }

    /** What was changed. */
    enum Of {
        RULES,
        TEMPLATE,
        SETTING,
        DESTINATION
    }

    /**
     * @param who a person's name; of a destination the address itself, where it said something; empty for what happens by
     *     itself
     * @param name of the template; empty for all else
     * @param version of rules and templates; 0 for all else
     * @param changes what was changed and in spite of what; none of a template
     */
    record SavedChange(Instant at, String who, Of of, String name, int version, List<Statement> changes) {}

    /** The newest first. */
    List<SavedChange> between(UUID mailbox, Instant from, Instant until) {
        return Stream.of(
                        rules(mailbox, from, until),
                        texts(mailbox, from, until),
                        settings.between(mailbox, from, until).stream()
                                .map(one ->
                                        new SavedChange(one.at(), one.who(), Of.SETTING, "", 0, List.of(one.what()))),
                        agreements.said(mailbox, from, until).stream().map(Changes::said))
                .flatMap(changes -> changes)
                .sorted(Comparator.comparing(SavedChange::at).reversed())
                .toList();
    }

    private Stream<SavedChange> rules(UUID mailbox, Instant from, Instant until) {
        return books.changes(mailbox, from, until).stream()
                .map(one -> new SavedChange(
                        one.at(),
                        one.who(),
                        Of.RULES,
                        "",
                        one.version(),
                        Stream.concat(one.changes().stream(), one.notes().stream())
                                .toList()));
    }

    private Stream<SavedChange> texts(UUID mailbox, Instant from, Instant until) {
        return templates.changes(mailbox, from, until).stream()
                .map(one -> new SavedChange(
                        one.at(),
                        one.by(),
                        Of.TEMPLATE,
                        one.template().name(),
                        one.template().version(),
                        List.of()));
    }

    private static SavedChange said(StoredAgreements.Said one) {
        return new SavedChange(
                one.at(),
                one.who(),
                Of.DESTINATION,
                "",
                0,
                List.of(code(one.event()).with(one.address())));
    }

    private static SettingChange code(Agreement.Event event) {
        return switch (event) {
            case ASKED -> SettingChange.DESTINATION_ASKED;
            case AGREED -> SettingChange.DESTINATION_AGREED;
            case DECLINED -> SettingChange.DESTINATION_DECLINED;
            case VOUCHED_FOR -> SettingChange.DESTINATION_VOUCHED_FOR;
            case LAPSED -> SettingChange.DESTINATION_LAPSED;
            case UNREACHED -> SettingChange.DESTINATION_UNREACHED;
            case TOLD -> SettingChange.DESTINATION_TOLD;
        };
    }
}
