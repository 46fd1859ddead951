package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.MonthDay;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Rules begin, rest and end by themselves; what a message meets is decided by when it came in. */
class WhenItIsTimeTest extends Journey {
    private static final ZoneId STOCKHOLM = ZoneId.of("Europe/Stockholm");
    private static final LocalDate TOMORROW = LocalDate.now(STOCKHOLM).plusDays(1);
    private static final String VISITS = "visits@ostrel-gardens.example";

    @AfterEach
    void realTime() {
        Demo.clockAtRealTime();
    }

    private void comesIn(String subject, LocalDateTime at) {
        Demo.clockAt(at.atZone(STOCKHOLM).toInstant());
        goTo("Outside");
        assertThat(page.getByText("(moved by")).isVisible();
        Demo.write("Tove <tove@postbox.example>", VISITS, subject, "Is it too late for tulips?");
    }

    /** The form of a new rule, up to when it is active. */
    private void filing(String name, String words, String folder) {
        visit("/rules/new");
        type("add a value to words", words);
        newStep("file it in a folder");
        page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)).fill(folder);
        page.getByLabel("Name of the rule").fill(name);
    }

    private void activeOn(String from, String until) {
        button("on certain days …").click();
        page.getByLabel("from", new Page.GetByLabelOptions().setExact(true)).fill(from);
        page.getByLabel("until", new Page.GetByLabelOptions().setExact(true)).fill(until);
        switchOn();
    }

    @Test
    void oneRuleRelievesAnotherAtMidnight() {
        filing("Bulb orders this season", "bulb order", "This season");
        activeOn("", TOMORROW.toString());
        filing("Bulb orders next season", "bulb order", "Next season");
        activeOn(TOMORROW.plusDays(1).toString(), "");

        comesIn("A bulb order just in time", TOMORROW.atTime(23, 55));
        assertThat(record("A bulb order just in time", "filed in This season — done"))
                .isVisible();
        comesIn("A bulb order just too late", TOMORROW.plusDays(1).atTime(0, 1));
        assertThat(record("A bulb order just too late", "filed in Next season — done"))
                .isVisible();
        assertThat(record("bulb order", "filed in")).hasCount(2);
    }

    @Test
    void aRuleForOutsideOpeningHoursActsOnAHoliday() {
        List<LocalDate> workingDays = TOMORROW.datesUntil(TOMORROW.plusDays(21))
                .filter(WhenItIsTimeTest::isOpen)
                .limit(2)
                .toList();
        goTo("Setup");
        page.getByLabel("calendar file").setInputFiles(holiday(workingDays.get(1)));
        assertThat(page.getByText("Bulb holiday").first()).isVisible();
        filing("Planting questions at night", "planting depth", "Planting");
        choose("active", "outside opening hours");
        switchOn();

        comesIn("Planting depth on a working day", workingDays.get(0).atTime(LocalTime.NOON));
        comesIn("Planting depth on a holiday", workingDays.get(1).atTime(LocalTime.NOON));
        assertThat(record("Planting depth on a holiday", "filed in Planting — done"))
                .isVisible();
        assertThat(record("Planting depth on a working day", "filed in")).hasCount(0);
    }

    /** Monday to Friday, but for the closed days that the gardens have already. */
    private static boolean isOpen(LocalDate day) {
        List<MonthDay> closed =
                List.of(MonthDay.of(12, 24), MonthDay.of(12, 25), MonthDay.of(12, 26), MonthDay.of(5, 14));
        boolean stocktaking =
                day.getMonthValue() == 1 && day.getDayOfWeek() == DayOfWeek.TUESDAY && day.getDayOfMonth() < 8;
        return day.getDayOfWeek().compareTo(DayOfWeek.SATURDAY) < 0
                && !closed.contains(MonthDay.from(day))
                && !stocktaking;
    }

    private static FilePayload holiday(LocalDate day) {
        String text = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Ostrel Gardens//x//EN\r\nBEGIN:VEVENT\r\nUID:1\r\n"
                + "DTSTAMP:20260101T000000Z\r\nSUMMARY:Bulb holiday\r\nDTSTART;VALUE=DATE:"
                + day.format(DateTimeFormatter.BASIC_ISO_DATE) + "\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        return new FilePayload("bulbs.ics", "text/calendar", text.getBytes(StandardCharsets.UTF_8));
    }
}
