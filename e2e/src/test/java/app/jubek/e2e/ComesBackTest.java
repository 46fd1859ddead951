package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** What was handed on and does not get where it should is no lost message. */
class ComesBackTest extends Journey {
    private static final String VISITS = "visits@ostrel-gardens.example";
    private static final String GONE = "gone.gatekeeper@ostrel-gardens.example";

    private static final String PORTER = "porter@ostrel-gardens.example";

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
        isBack("coach park at noon");
    }

    private void isBack(String subject) {
        goTo("Outside");
        Locator back =
                mailOf(VISITS).getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(subject));
        assertThat(back.filter(new Locator.FilterOptions().setHasText("flagged")))
                .containsText("inbox");
    }

    /** Whoever got it says so on the page in its last line, without signing in. */
    @Test
    void whatIsNotForWhoGotItComesBackAndStandsOnTheDesk() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "lost umbrella");
        newStep("forward it: a new message from you");
        type("add an address to forward to", PORTER);
        newStep("file it in a folder");
        page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)).fill("Lost and found");
        newStep("bring it back if nobody deals with it");
        choose("how long", "2 working days");
        switchOn();
        send("Malin <malin@postbox.example>", VISITS, "lost umbrella in the fernery", "It is red.");
        assertThat(record("lost umbrella in the fernery", "forwarded")).containsText("comes back");

        Page forward = pageFrom(PORTER, "Fwd: lost umbrella in the fernery");
        assertThat(forward.getByText("would like to know what becomes of it")).isVisible();
        assertThat(findings(forward)).as("the page of a forward").isEmpty();
        forward.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("It is not for me"))
                .click();
        assertThat(forward.getByText("has it back and sees to it")).isVisible();
        forward.close();
        goTo("Desk");
        Locator need = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Needs you"))
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("lost umbrella in the fernery"));
        assertThat(need).containsText(PORTER + " says that it is not for them");
        isBack("lost umbrella in the fernery");
        goTo("Desk");
        need.getByText("It is dealt with").click();
        assertThat(need).hasCount(0);
    }
}
