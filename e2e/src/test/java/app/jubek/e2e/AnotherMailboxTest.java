package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A rule of one mailbox files in another one, where the message is seen by whoever works there. */
class AnotherMailboxTest extends Journey {
    private static final String VISITS = "visits@ostrel-gardens.example";
    private static final String SEEDS = "seeds@ostrel-gardens.example";

    @Test
    void whatIsFiledInAnotherMailboxIsThereAndNoLongerHere() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "toad lily seeds");
        newStep("file it in a folder");
        choose("mailbox", "in " + SEEDS);
        switchOn();
        send("Mara Lindqvist <mara@home-post.example>", VISITS, "toad lily seeds to give away", "two bags");
        assertThat(record("toad lily seeds to give away", "filed in the inbox of " + SEEDS + " — done"))
                .isVisible();
        goTo("Outside");
        assertThat(mailOf(SEEDS).getByText("toad lily seeds to give away")).isVisible();
        assertThat(mailOf(VISITS).getByText("toad lily seeds to give away")).hasCount(0);

        choose("current mailbox", SEEDS + " · Ostrel Gardens, seed exchange");
        goTo("Rules");
        assertThat(page.getByText("No rules yet, so all mail stays in the inbox."))
                .isVisible();
        goTo("Incoming");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Messages"))
                .click();
        assertThat(page.getByText("toad lily seeds to give away")).isVisible();
    }
}
