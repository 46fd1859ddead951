package app.jubek.core.schedule;

import app.jubek.core.wording.Statement;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import org.dmfs.rfc5545.DateTime;
import org.dmfs.rfc5545.recur.Freq;
import org.dmfs.rfc5545.recur.InvalidRecurrenceRuleException;
import org.dmfs.rfc5545.recur.RecurrenceRule;
import org.dmfs.rfc5545.recur.RecurrenceRuleIterator;

/**
 * Days that come again, by a recurrence rule (RFC 5545 §3.3.10). Unlike DTSTART in a calendar, the first day is only one of
 * them when the rule has it.
 */
public final class Recurrence {
    private static final int OLDEST = 1900;
    private static final int LAST = 2200;
    private static final int LONGEST = 200;

    /** A rule may have no days for very long; looking on would not end. */
    private static final int MOST_IN_A_YEAR = 366;

    private final String rule;
    private final LocalDate first;
    private final RecurrenceRule read;

    /** What has been found; a year never changes. */
    private final Map<Integer, Set<LocalDate>> years = new ConcurrentHashMap<>();

    /**
     * @param rule as in "FREQ=MONTHLY;BYDAY=1MO"
     * @param first no day before it is one of them; with an interval, it counts from here
     * @throws IllegalArgumentException saying what is wrong with the rule
     */
    public Recurrence(String rule, LocalDate first) {
        this.rule = rule.strip().toUpperCase(Locale.ROOT);
        this.first = first;
        if (first.getYear() < OLDEST || first.getYear() > LAST) {
            throw new IllegalArgumentException("it must begin between " + OLDEST + " and " + LAST);
        }
        this.read = read(this.rule);
        try {
            read.iterator(day(first)).hasNext();
        } catch (IllegalArgumentException mixed) {
            throw new IllegalArgumentException(
                    "“" + rule + "” has no days from " + first + " on: " + mixed.getMessage(), mixed);
        }
    }

    private static RecurrenceRule read(String rule) {
        if (rule.length() > LONGEST) {
            throw new IllegalArgumentException("a recurrence rule has at most " + LONGEST + " characters");
        }
        try {
            RecurrenceRule read = new RecurrenceRule(rule, RecurrenceRule.RfcMode.RFC5545_STRICT);
            boolean byTheHour =
                    Set.of(Freq.HOURLY, Freq.MINUTELY, Freq.SECONDLY).contains(read.getFreq())
                            || read.hasPart(RecurrenceRule.Part.BYHOUR)
                            || read.hasPart(RecurrenceRule.Part.BYMINUTE)
                            || read.hasPart(RecurrenceRule.Part.BYSECOND);
            if (byTheHour) {
                throw new IllegalArgumentException("“" + rule + "” recurs within the day: use hours for that");
            }
            return read;
        } catch (InvalidRecurrenceRuleException notOne) {
            throw new IllegalArgumentException(
                    "“" + rule + "” is no recurrence rule like FREQ=MONTHLY;BYDAY=1MO (RFC 5545): "
                            + notOne.getMessage(),
                    notOne);
        }
    }

    public String rule() {
        return rule;
    }

    public LocalDate first() {
        return first;
    }

    public boolean contains(LocalDate day) {
        return !day.isBefore(first)
                && day.getYear() <= LAST
                && ofYear(day.getYear()).contains(day);
    }

    /** The first of its days on or after a day; empty when there is none within ten years. */
    public Optional<LocalDate> next(LocalDate from) {
        LocalDate begin = from.isBefore(first) ? first : from;
        return begin.datesUntil(begin.plusYears(10)).filter(this::contains).findFirst();
    }

    private Set<LocalDate> ofYear(int year) {
        return years.computeIfAbsent(year, this::expanded);
    }

    private Set<LocalDate> expanded(int year) {
        Set<LocalDate> days = new TreeSet<>();
        try {
            expand(year, days);
        } catch (IllegalArgumentException noMore) {
            return Set.copyOf(days); // the library gives up where no more days are near
        }
        return Set.copyOf(days);
    }

    private void expand(int year, Set<LocalDate> days) {
        RecurrenceRuleIterator all = read.iterator(day(first));
        LocalDate begin = LocalDate.of(year, 1, 1);
        if (begin.isAfter(first)) {
            all.fastForward(day(begin));
        }
        for (int seen = 0; all.hasNext() && seen < MOST_IN_A_YEAR; seen++) {
            DateTime at = all.nextDateTime();
            LocalDate found = LocalDate.of(at.getYear(), at.getMonth() + 1, at.getDayOfMonth());
            if (found.getYear() > year) {
                return;
            }
            if (found.getYear() == year) {
                days.add(found);
            }
        }
    }

    private static DateTime day(LocalDate day) {
        return new DateTime(day.getYear(), day.getMonthValue() - 1, day.getDayOfMonth());
    }

    Statement statement() {
        return RecurrenceText.of(read, rule);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Recurrence that && rule.equals(that.rule) && first.equals(that.first);
    }

    @Override
    public int hashCode() {
        return Objects.hash(rule, first);
    }

    @Override
    public String toString() {
        return rule + " from " + first;
    }
}
