package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** An absence is drawn, asked for, lasts, and ends a day early with a summary. */
class WhileAwayTest extends Journey {
    private static final String VISITS = "visits@ostrel-gardens.example";
    private static final String NOOR = "noor@ostrel-gardens.example";
    private static final String TOVE = "tove@postbox.example";
    private static final int DAYS_SHOWN = 42;

    @AfterEach
    void realTime() {
        Demo.clockAtRealTime();
    }

    private Locator row() {
        return page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("My absence"));
    }

    private Locator panel() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Being away"));
    }

    /** From the middle of one day to that of another, counted from today. */
    private void draw(int first, int last) {
        BoundingBox lane = row().getByRole(AriaRole.CELL).first().boundingBox();
        int today = LocalDate.now(ZoneId.of("Europe/Stockholm")).getDayOfWeek().getValue() - 1;
        double day = lane.width / DAYS_SHOWN;
        double y = lane.y + lane.height / 2;
        page.mouse().move(lane.x + (today + first + 0.5) * day, y);
        page.mouse().down();
        page.mouse().move(lane.x + (today + last + 0.5) * day, y);
        page.mouse().up();
    }

    private void write(String subject) {
        send("Tove <" + TOVE + ">", VISITS, subject, "When may I bring back the borrowed books, please?");
    }

    private void aDayLater() {
        goTo("Outside");
        button("+1 day").click();
        assertThat(page.getByText("(moved by")).isVisible();
    }

    @Test
    void anAbsenceIsDrawnLastsAndEndsADayEarly() {
        goTo("Timetable");
        draw(1, 4);
        assertThat(panel()).isVisible();
        choose("add an answer", "New answer in English");
        choose("add an answer", "New answer in German");
        panel().getByLabel("stands in").fill(NOOR);
        choose("what is handed over", "all mail");
        assertThat(panel().getByText("If it had run for the last 7 days")).isVisible();
        assertThat(panel().getByText("would have been answered once")).isVisible();
        settled();
        assertThat(findings(page)).as("the sheet of an absence").isEmpty();
        button("Plan it").click();
        assertThat(row()).containsText("Noor Adel was asked");

        Page asked = pageFrom(NOOR, "Will you stand in?");
        assertThat(findings(asked)).as("the page of a substitute").isEmpty();
        asked.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("I stand in"))
                .click();
        assertThat(asked.getByText("You agreed.")).isVisible();
        asked.close();
        goTo("Timetable");
        assertThat(row()).containsText("Noor Adel agreed");

        write("Borrowed books, the evening before");
        visit("/incoming?view=messages");
        assertThat(row("Borrowed books, the evening before")).isVisible();
        aDayLater();
        write("Borrowed books, the first morning");
        assertThat(record("Borrowed books, the first morning", "forwarded to " + NOOR + " — done"))
                .isVisible();
        assertThat(record("Borrowed books, the first morning", "replied to")).isVisible();
        write("Borrowed books, once more");
        assertThat(record("Borrowed books, once more", "forwarded to " + NOOR + " — done"))
                .isVisible();
        goTo("Outside");
        assertThat(mailOf(TOVE).getByText("I am away until")).hasCount(1);

        aDayLater();
        goTo("Timetable");
        row().getByRole(AriaRole.CELL).last().getByRole(AriaRole.BUTTON).first().click();
        button("I am back").click();
        assertThat(row()).containsText("see what happened");
        Locator summary = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("While you were away"));
        assertThat(summary).containsText("Tove");
        summary.getByText("answered that you are away").click();
        assertThat(findings(page)).as("the summary").isEmpty();
        summary.getByText("Borrowed books, the first morning").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Borrowed books, the first morning");
        button("Close").first().click();
        write("Borrowed books, after all");
        goTo("Desk");
        assertThat(page.getByText("what happened").first()).isVisible();
    }
}
