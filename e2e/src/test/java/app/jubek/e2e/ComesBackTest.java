package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A forward that was accepted and then came back is no lost message. */
class ComesBackTest extends Journey {
    private static final String VISITS = "visits@ostrel-gardens.example";
    private static final String GONE = "gone.gatekeeper@ostrel-gardens.example";

    @Test
    void aBounceBringsItsMessageBackAndSaysWhatTheServerSaid() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "coach park");
        newStep("forward it: a new message from you");
        type("add an address to forward to", GONE);
        newStep("file it in a folder");
        page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)).fill("Coaches");
        switchOn();
        send("Planning <planning@lindgren-coaches.example>", VISITS, "coach park at noon", "Two coaches.");
        assertThat(record("coach park at noon", "failed"))
                .containsText("it came back from " + GONE + ": 550 5.1.1 no such user here");
        goTo("Desk");
        Locator need = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Needs you"))
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("coach park at noon"));
        assertThat(need).containsText("Check the address in the rule");
        goTo("Outside");
        Locator back = mailOf(VISITS)
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("coach park at noon"));
        assertThat(back.filter(new Locator.FilterOptions().setHasText("flagged")))
                .containsText("inbox");
    }
}
