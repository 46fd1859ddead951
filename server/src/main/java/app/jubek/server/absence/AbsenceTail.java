package app.jubek.server.absence;

import app.jubek.core.absence.Absence;
import app.jubek.core.absence.AbsencePhrase;
import app.jubek.core.absence.AbsenceRules;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.wording.Statement;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Words;
import app.jubek.server.rulebook.Tail;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The rules of the absences of a mailbox. Those of one that is over stay for a while, for mail that came in late. */
@Component
class AbsenceTail implements Tail {
    private static final int DAYS_KEPT = 30;

    private final AbsenceRepository absences;
    private final Mailboxes mailboxes;
    private final Words words;
    private final Clock clock;

    AbsenceTail(AbsenceRepository absences, Mailboxes mailboxes, Words words, Clock clock) {
        this.absences = absences;
        this.mailboxes = mailboxes;
        this.words = words;
        this.clock = clock;
    }

    @Override
    public List<Rule> of(UUID mailbox, RuleBook book) {
        LocalDate today =
                LocalDate.ofInstant(clock.instant(), mailboxes.find(mailbox).zone());
        return absences.of(mailbox, today.minusDays(DAYS_KEPT)).stream()
                .flatMap(one -> rules(one.absence(), mailbox, one).in(book).stream())
                .toList();
    }

    private AbsenceRules rules(Absence absence, UUID mailbox, AbsenceEntity stored) {
        return new AbsenceRules(
                absence, stored.standing(), mailboxes.find(mailbox).own(), names(absence));
    }

    AbsenceRules.Names names(Absence absence) {
        Statement days = absence.period().told();
        String substitute =
                absence.takingOver().map(over -> over.substitute().shown()).orElse("");
        return new AbsenceRules.Names(
                words.of(AbsencePhrase.ANSWER_RULE.with(days)),
                words.of(AbsencePhrase.HAND_OVER_RULE.with(days, substitute)));
    }
}
