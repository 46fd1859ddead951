package app.jubek.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.schedule.Schedule.Hours;
import app.jubek.core.schedule.Schedule.OnClosedDays;
import de.focus_shift.jollyday.core.Holiday;
import de.focus_shift.jollyday.core.HolidayCalendar;
import de.focus_shift.jollyday.core.HolidayManager;
import de.focus_shift.jollyday.core.ManagerParameters;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.Year;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The public holidays of two regions as closed days. The files are what Debian's python3-holidays 0.10.1 gives (under the Expat licence); a day
 * counts where jollyday 1.8.1 says the same of it, and those of which the two differ are named.
 */
class PublicHolidaysTest {
    private static final LocalDate FIRST = LocalDate.of(2026, 1, 1);
    private static final LocalDate AFTER_LAST = LocalDate.of(2029, 1, 1);

    private static Set<LocalDate> jollyday(HolidayCalendar country, String region) {
        HolidayManager holidays = HolidayManager.getInstance(ManagerParameters.create(country));
        return IntStream.range(FIRST.getYear(), AFTER_LAST.getYear())
                .boxed()
                .flatMap(year -> holidays.getHolidays(Year.of(year), region).stream())
                .map(Holiday::getDate)
                .collect(Collectors.toSet());
    }

    @ParameterizedTest
    @CsvSource({
        "sweden.ics, SWEDEN, '', Europe/Stockholm, none",
        "bavaria.ics, GERMANY, by, Europe/Berlin, 08-15 which is one in some places of Bavaria alone"
    })
    void aRuleRestsOnThePublicHolidaysOfItsRegion(
            String file, HolidayCalendar country, String region, String zone, String differing) throws IOException {
        String text = Files.readString(Path.of("src/test/resources/calendar", file));
        Set<LocalDate> closed = ClosedDaysFile.read(text, FIRST, AFTER_LAST).days().stream()
                .map(ClosedDaysFile.ClosedDay::day)
                .collect(Collectors.toSet());
        Set<LocalDate> also = jollyday(country, region);
        Opening opening = Opening.usual(ZoneId.of(zone)).with(closed, Map.of());
        Schedule notThen = new Schedule(Hours.ALWAYS, Optional.empty(), OnClosedDays.NOT, List.of(), Optional.empty());

        List<LocalDate> agreed = FIRST.datesUntil(AFTER_LAST)
                .filter(day -> closed.contains(day) == also.contains(day))
                .toList();
        assertThat(FIRST.datesUntil(AFTER_LAST).filter(day -> !agreed.contains(day)))
                .allSatisfy(
                        day -> assertThat(differing).startsWith(day.toString().substring(5)));
        assertThat(agreed)
                .allSatisfy(day -> assertThat(notThen.isActive(
                                day.atTime(LocalTime.NOON)
                                        .atZone(opening.zone())
                                        .toInstant(),
                                opening))
                        .isEqualTo(!also.contains(day)));
        assertThat(agreed.stream().filter(also::contains)).hasSizeGreaterThan(30);
    }
}
