package app.jubek.core.absence;

import app.jubek.core.schedule.Period;
import app.jubek.core.template.TemplateId;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A time in which the person of a mailbox is away.
 *
 * @param id stays the same while it is changed
 * @param first its first whole day
 * @param last its last whole day, at most a year after the first
 */
public record Absence(String id, LocalDate first, LocalDate last, Answer answer, Optional<TakingOver> takingOver) {
    private static final int LONGEST = 366;

    /**
     * What the senders get, once each.
     *
     * @param groups of the address book, where it goes to groups
     * @param templates one for each language; the first one where no other is in the language of the message
     */
    public record Answer(Audience to, List<String> groups, List<TemplateId> templates) {
        public Answer {
            groups = List.copyOf(groups);
            templates = List.copyOf(templates);
            if (to != Audience.NOBODY && templates.isEmpty()) {
                throw new IllegalArgumentException("choose the template that answers, or let nobody get an answer");
            }
            if (to == Audience.GROUPS && groups.isEmpty()) {
                throw new IllegalArgumentException("choose the groups that get the answer");
            }
        }
    }

    public Absence {
        new Period(Optional.of(first), Optional.of(last));
        if (ChronoUnit.DAYS.between(first, last) >= LONGEST) {
            throw new IllegalArgumentException("an absence lasts at most " + LONGEST + " days");
        }
    }

    public Period period() {
        return new Period(Optional.of(first), Optional.of(last));
    }

    /** Its days. */
    public int days() {
        return (int) ChronoUnit.DAYS.between(first, last) + 1;
    }

    public boolean overlaps(Absence other) {
        return !first.isAfter(other.last) && !last.isBefore(other.first);
    }

    public boolean isOver(LocalDate today) {
        return last.isBefore(today);
    }

    /** The day on which the substitute is told. */
    public Optional<LocalDate> tellsOn() {
        return takingOver.map(substitute -> first.minusDays(substitute.daysBefore()));
    }

    public boolean isSameSubstituteAs(Absence other) {
        return takingOver.isPresent()
                && other.takingOver
                        .filter(theirs ->
                                theirs.substitute().sameAs(takingOver.get().substitute()))
                        .isPresent();
    }

    /** Whether the same substitute has to do with it in the same way. */
    public boolean isForSubstituteAs(Absence other) {
        return first.equals(other.first) && last.equals(other.last) && takingOver.equals(other.takingOver);
    }

    /** Whether a yes to another one is no yes to this: more days, or other mail. */
    public boolean asksMoreThan(Absence other) {
        boolean moreDays = first.isBefore(other.first) || last.isAfter(other.last);
        return moreDays || !isSameMailAs(other);
    }

    public boolean isSameMailAs(Absence other) {
        return mail().equals(other.mail());
    }

    private List<Object> mail() {
        return takingOver.stream()
                .flatMap(over -> Stream.of(over.share(), over.rules()))
                .toList();
    }
}
