package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class AnswerTest extends Journey {
    private static final String CARO = "caro@postbox.example";
    private static final String BEA = "bea@postbox.example";

    /** The page moves the clock forward only; other journeys want today's mail to be today's. */
    @AfterEach
    void realTime() {
        Demo.clockAtRealTime();
        goTo("Outside");
        assertThat(page.getByText("(moved by")).isHidden();
    }

    private void ask(String subject) {
        send(
                "Bea <" + BEA + ">",
                "photos@ostrel-gardens.example",
                subject,
                "May we take pictures? Do we need a permit?");
    }

    private Locator answers() {
        goTo("Outside");
        return mailOf(BEA).getByRole(AriaRole.LISTITEM);
    }

    @Test
    void allOutgoingMailIsStoppedByOneActAndLeavesWhenItMayAgain() {
        page.keyboard().press("Control+k");
        page.keyboard().type("stop all");
        page.keyboard().press("Enter");
        page.getByLabel("also stop my other mailbox").uncheck();
        button("Stop it").click();
        assertThat(page.getByText("No mail leaves visits@ostrel-gardens.example."))
                .isVisible();
        send("Caro <" + CARO + ">", "photos@ostrel-gardens.example", "stopped question", "Do we need a permit?");
        assertThat(record("stopped question", "to be replied to")).isVisible();
        button("Let mail leave again").click();
        assertThat(record("stopped question", "replied to, filed in Photo permits — done"))
                .isVisible();
        goTo("Outside");
        assertThat(mailOf(CARO).getByRole(AriaRole.LISTITEM)).hasCount(1);
    }

    @Test
    void aWriterIsAnsweredOnceInAWeekAndTheRecordsSayWhyNotTwice() {
        ask("first question");
        assertThat(record("first question", "replied to, filed in Photo permits — done"))
                .isVisible();
        assertThat(answers()).hasCount(1);
        ask("second question");
        assertThat(record("second question", "not replied to — withheld"))
                .containsText("this sender had a reply from this rule before: it replies once per sender in 7 days");
        assertThat(answers()).hasCount(1);

        goTo("Desk");
        Locator unseen = page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("second question"))
                .filter(new Locator.FilterOptions().setHasText("Not answered, and out of the inbox"));
        unseen.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Answer anyway"))
                .click();
        assertThat(unseen).isHidden();
        assertThat(answers()).hasCount(2);

        button("+1 week").click();
        assertThat(page.getByText("(moved by 7 days)")).isVisible();
        button("+1 hour").click();
        ask("a week later");
        assertThat(record("a week later", "replied to, filed in Photo permits — done"))
                .isVisible();
        assertThat(answers()).hasCount(3);
        page.getByText("Your photo permit").first().click();
        assertThat(page.getByText("Auto-Submitted: auto-replied")).isVisible();
        button("Close").click();
    }
}
