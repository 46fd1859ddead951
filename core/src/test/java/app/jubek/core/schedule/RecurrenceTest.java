package app.jubek.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.wording.Wording;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import net.fortuna.ical4j.model.Recur;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;

class RecurrenceTest {
    /** RFC 5545 §3.8.5.3; the second library is ical4j. */
    @ParameterizedTest
    @CsvFileSource(resources = "rfc5545-examples.txt", delimiter = '|')
    void theExamplesOfTheStandardHaveTheDaysThatItLists(String rule, LocalDate first, String which, String listed) {
        List<LocalDate> days =
                Stream.of(listed.split(" ")).map(LocalDate::parse).toList();
        LocalDate last = days.get(days.size() - 1).plusYears(which.equals("all") ? 5 : 0);

        assertThat(between(new Recurrence(rule, first), first.minusYears(1), last))
                .isEqualTo(days);
        assertThat(second(rule, first, last)).isEqualTo(days);
    }

    private static List<LocalDate> between(Recurrence days, LocalDate from, LocalDate last) {
        return from.datesUntil(last.plusDays(1)).filter(days::contains).toList();
    }

    private static List<LocalDate> second(String rule, LocalDate first, LocalDate last) {
        return new Recur<LocalDate>(rule).getDates(first, first, last);
    }

    @Test
    void twoLibrariesHaveTheSameDaysForWhatPeopleChoose() {
        Random random = new Random(11);
        List<String> weekdays = List.of("MO", "TU", "WE", "TH", "FR", "SA", "SU");
        for (int i = 0; i < 300; i++) {
            String day = weekdays.get(random.nextInt(7));
            String rule = switch (i % 5) {
                case 0 -> "FREQ=WEEKLY;INTERVAL=" + (1 + random.nextInt(4)) + ";WKST=MO;BYDAY=" + day;
                case 1 -> "FREQ=MONTHLY;BYDAY=" + List.of(1, 2, 3, 4, 5, -1).get(random.nextInt(6)) + day;
                case 2 -> "FREQ=MONTHLY;BYMONTHDAY=" + (1 + random.nextInt(31));
                case 3 -> "FREQ=DAILY;BYMONTH=" + (1 + random.nextInt(12));
                default -> "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=" + (20 + random.nextInt(10));
            };
            LocalDate first = LocalDate.of(2024, 1, 1).plusDays(random.nextInt(900));
            LocalDate last = first.plusYears(3);
            assertThat(between(new Recurrence(rule, first), first, last))
                    .as(rule + " from " + first)
                    .isEqualTo(second(rule, first, last));
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "FREQ=WEEKLY;BYDAY=MO,TH | every Monday and Thursday",
                "FREQ=WEEKLY;INTERVAL=2;BYDAY=FR | every 2 weeks on Friday",
                "FREQ=MONTHLY;BYDAY=1MO | every first Monday of the month",
                "FREQ=MONTHLY;BYDAY=-1SU | every last Sunday of the month",
                "FREQ=MONTHLY;BYMONTHDAY=15 | on day 15 of every month",
                "FREQ=MONTHLY;BYMONTHDAY=-1 | on the last day of every month",
                "FREQ=DAILY;BYMONTH=5 | every year in May",
                "FREQ=YEARLY;BYMONTH=5;BYMONTHDAY=1 | every year on 1 May",
                "FREQ=WEEKLY;COUNT=3;BYDAY=MO | on the days of “FREQ=WEEKLY;COUNT=3;BYDAY=MO”",
                "FREQ=MONTHLY;BYDAY=MO,TU;BYSETPOS=-1 | on the days of “FREQ=MONTHLY;BYDAY=MO,TU;BYSETPOS=-1”"
            })
    void itIsSaidInPlainWords(String rule, String words) {
        assertThat(Wording.english().of(new Recurrence(rule, LocalDate.of(2026, 1, 1)).statement()))
                .isEqualTo(words);
    }

    @Test
    void daysThatAreYearsApartAreFoundAndWhatIsOverHasNone() {
        Recurrence leap = new Recurrence("FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29", LocalDate.of(2096, 3, 1));
        assertThat(leap.next(LocalDate.of(2096, 3, 1))).contains(LocalDate.of(2104, 2, 29));
        Recurrence over = new Recurrence("FREQ=DAILY;COUNT=3", LocalDate.of(2026, 1, 1));
        assertThat(over.next(LocalDate.of(2026, 1, 4))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "every Monday | is no recurrence rule like",
                "FREQ=HOURLY | recurs within the day",
                "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30 | has no days from 2026-01-01 on",
                "FREQ=DAILY;BYHOUR=9 | recurs within the day",
                "FREQ=WEEKLY;UNTIL=20261224T000000Z | has no days from 2026-01-01 on"
            })
    void whatIsNoneIsRefusedWithTheReason(String rule, String reason) {
        assertThatThrownBy(() -> new Recurrence(rule, LocalDate.of(2026, 1, 1)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(reason);
    }
}
