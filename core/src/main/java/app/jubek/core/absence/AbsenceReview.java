package app.jubek.core.absence;

import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Period;
import app.jubek.core.template.Field;
import app.jubek.core.template.Prepared;
import app.jubek.core.template.Template;
import app.jubek.core.wording.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Looks an absence over.
 *
 * @param standing what the substitute has said
 * @param others further absences of the mailbox
 * @param substituteAway when the substitute is away, as far as it is known
 * @param isNew it was not planned yet
 */
public record AbsenceReview(
        Absence absence,
        Standing standing,
        boolean isNew,
        List<Absence> others,
        List<Period> substituteAway,
        OwnSide own,
        Opening opening,
        RuleBook book,
        Prepared prepared) {
    /** So many days before the first one an open question is a finding. */
    private static final int OPEN_UNTIL = 2;

    /** What is amiss on a day, the worst first. */
    public List<Statement> findings(LocalDate today) {
        List<Statement> found = new ArrayList<>();
        absence.takingOver().ifPresentOrElse(substitute -> substitute(substitute, today, found), () -> {
            if (absence.answer().to() != Audience.NOBODY) {
                found.add(AbsenceFinding.NO_SUBSTITUTE.with());
            }
        });
        others.stream()
                .filter(absence::overlaps)
                .forEach(other ->
                        found.add(AbsenceFinding.OVERLAPS.with(other.period().told())));
        absence.answer()
                .templates()
                .forEach(id -> prepared.template(id)
                        .ifPresentOrElse(
                                template -> template(template, found),
                                () -> found.add(AbsenceFinding.TEMPLATE_GONE.with())));
        if (isNew && absence.first().isBefore(today)) {
            found.add(AbsenceFinding.BEGINS_IN_THE_PAST.with(absence.first()));
        }
        closedAfterwards().ifPresent(opens -> found.add(AbsenceFinding.ENDS_BEFORE_CLOSED_DAYS.with(opens)));
        return found.stream()
                .sorted(Comparator.comparingInt(AbsenceReview::rank))
                .toList();
    }

    private static int rank(Statement finding) {
        return (int) Stream.of(AbsenceFinding.values())
                .takeWhile(sort -> !finding.is(sort))
                .count();
    }

    private void substitute(TakingOver substitute, LocalDate today, List<Statement> found) {
        String who = substitute.substitute().shown();
        if (standing == Standing.DECLINED) {
            found.add(AbsenceFinding.SUBSTITUTE_DECLINED.with(who));
        }
        if (standing == Standing.UNREACHED) {
            found.add(AbsenceFinding.SUBSTITUTE_UNREACHED.with(who));
        }
        boolean soon = !today.isBefore(absence.first().minusDays(OPEN_UNTIL));
        if (!isNew && soon && (standing == Standing.ASKED || standing == Standing.NOT_ASKED)) {
            found.add(AbsenceFinding.SUBSTITUTE_SILENT.with(who));
        }
        if (!own.isInside(substitute.substitute())) {
            found.add(AbsenceFinding.SUBSTITUTE_GONE.with(who));
        }
        substituteAway.stream()
                .filter(absence.period()::overlaps)
                .forEach(period -> found.add(AbsenceFinding.SUBSTITUTE_AWAY.with(who, period.told())));
        boolean nothing = substitute.share() == TakingOver.Share.OF_RULES
                && substitute.rules().stream().allMatch(rule -> book.find(rule).isEmpty());
        if (nothing) {
            found.add(AbsenceFinding.NOTHING_HANDED_OVER.with());
        }
    }

    private void template(Template template, List<Statement> found) {
        template.dates().forEach((written, day) -> {
            if (!isDayOfIt(day)) {
                found.add(AbsenceFinding.TEMPLATE_SAYS_OTHERWISE.with(template.name(), written));
            }
        });
        if (absence.takingOver().isEmpty() && template.fields().contains(Field.ABSENCE_SUBSTITUTE)) {
            found.add(AbsenceFinding.TEMPLATE_NAMES_SUBSTITUTE.with(template.name()));
        }
    }

    private boolean isDayOfIt(LocalDate day) {
        return day.equals(absence.first())
                || day.equals(absence.last())
                || day.equals(absence.last().plusDays(1))
                || opening.opensAfter(absence.last()).filter(day::equals).isPresent();
    }

    /** Not of an ordinary weekend. */
    private Optional<LocalDate> closedAfterwards() {
        return opening.opensAfter(absence.last())
                .filter(opens -> absence.last().plusDays(1).datesUntil(opens).anyMatch(opening.closed()::contains));
    }
}
