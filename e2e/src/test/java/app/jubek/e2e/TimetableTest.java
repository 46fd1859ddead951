package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Hours and closed days are set once; rules go by them, and the timetable shows and moves their days. */
class TimetableTest extends Journey {
    private static final LocalDate FIRST = LocalDate.now().plusDays(9);

    private void importCalendar(String name, String day) {
        String text = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Ostrel Gardens//x//EN\r\nBEGIN:VEVENT\r\nUID:1\r\n"
                + "DTSTAMP:20260101T000000Z\r\nSUMMARY:Orchid show\r\nDTSTART;VALUE=DATE:" + day
                + "\r\nRRULE:FREQ=YEARLY\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        page.getByLabel("calendar file")
                .setInputFiles(new FilePayload(name, "text/calendar", text.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void aRuleGoesByHoursOfItsOwnAndItsDaysAreMovedByKey() {
        goTo("Setup");
        button("New hours").click();
        page.getByLabel("Name of the hours").fill("Orchid house");
        page.getByLabel("Monday").fill("at noon");
        assertThat(page.getByText("write it like 9:00–17:00")).isVisible();
        page.getByLabel("Monday").fill("9-12, 13:00–17:30");
        assertThat(findings(page)).as("New hours").isEmpty();
        button("Save the hours").click();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Orchid house")))
                .isVisible();

        importCalendar("broken.ics", "x0210101");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("line");
        importCalendar("orchids.ics", "20260101");
        assertThat(page.getByText("Orchid show").first()).isVisible();
        assertThat(findings(page)).as("Setup").isEmpty();

        visit("/rules/new");
        type("add a value to words", "orchid weeks");
        newStep("file it in a folder");
        page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)).fill("Orchids");
        page.getByLabel("Name of the rule").fill("Orchid weeks");
        choose("active", "inside “Orchid house”");
        button("on certain days …").click();
        page.getByLabel("from", new Page.GetByLabelOptions().setExact(true)).fill(FIRST.toString());
        page.getByLabel("until", new Page.GetByLabelOptions().setExact(true))
                .fill(FIRST.plusDays(6).toString());
        switchOn();

        goTo("Timetable");
        Locator bar = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Orchid weeks, " + FIRST)));
        bar.focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("Shift+ArrowRight");
        assertThat(findings(page)).as("Timetable").isEmpty();
        button("Save").click();
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName("Orchid weeks, " + FIRST.plusDays(1) + " to " + FIRST.plusDays(8))))
                .isVisible();
        assertThat(page.getByText("Save", new Page.GetByTextOptions().setExact(true)))
                .isHidden();

        goTo("Setup");
        page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("orchids"))
                .getByText("Remove …")
                .click();
        button("Remove them").click();
        assertThat(page.getByText("Orchid show")).hasCount(0);
    }
}
