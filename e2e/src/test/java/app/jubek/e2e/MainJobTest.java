package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

class MainJobTest extends Journey {
    private static final String GATE = "gate@ostrel-gardens.example";

    private int picked() {
        return counter("PICKED");
    }

    private void chooseFrom(String menu, String choice) {
        button(menu).click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(choice))
                .click();
    }

    /** Apart from what the rules of today would do, which reads the same right after. */
    private void isTold(String why) {
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What happened and why"))
                        .getByText(why))
                .isVisible();
    }

    @Test
    void aRuleByDomainPhraseAndExceptionForwardsOneRealMessageAndSaysWhy() {
        goTo("Rules");
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Rules"))
                .getByText("Start a rule")
                .click();
        type("add a value to sender", "lindgren-coaches.example");
        int byDomain = picked();
        assertThat(byDomain).isPositive();
        page.getByLabel("add a value to words").pressSequentially("arriv");
        assertThat(page.getByText("Arriv").first()).isVisible();
        type("add a value to words", "arrival");
        int byPhrase = picked();
        button("Leaves out").click();
        button("Add mail to leave out").click();
        type("add a value to words", "cancelled");
        int withException = picked();
        assertThat(byPhrase).isLessThanOrEqualTo(byDomain);
        assertThat(withException).isPositive().isLessThan(byPhrase);
        assertThat(page.locator("[data-counter=LEFT_OUT]")).hasText(String.valueOf(byPhrase - withException));

        button("Does").click();
        chooseFrom("+ another action", "forward it");
        type("add an address to forward to", GATE);
        assertThat(page.getByText("Fwd: and the original subject")).isVisible();
        page.getByLabel("Name of the rule").fill("Coaches to the gate");
        button("Save and switch on").click();
        assertThat(page.getByText("“Coaches to the gate” is on. New mail only")).isVisible();

        send(
                "Planning <planning@lindgren-coaches.example>",
                "visits@ostrel-gardens.example",
                "Arrival 10:40, 31 guests",
                "The coach is blue.");
        send("Anna <anna@postbox.example>", "visits@ostrel-gardens.example", "Arrival of my aunt", "She likes roses.");
        send(
                "Planning <planning@lindgren-coaches.example>",
                "visits@ostrel-gardens.example",
                "Cancelled: arrival 11:00",
                "Sorry.");
        Locator gate = mailOf(GATE);
        assertThat(gate.getByText("Fwd: Arrival 10:40, 31 guests")).isVisible();

        goTo("Incoming");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Messages"))
                .click();
        assertThat(page.getByText("Cancelled: arrival 11:00")).isVisible();
        page.getByText("Cancelled: arrival 11:00").click();
        isTold("“Coaches to the gate”: left out, because it is mail with “cancelled” in the subject or text");
        button("Close").click();

        goTo("Outside");
        assertThat(mailOf(GATE).getByRole(AriaRole.LISTITEM)).hasCount(1);
        page.getByText("Fwd: Arrival 10:40, 31 guests").click();
        assertThat(page.getByRole(AriaRole.PARAGRAPH)
                        .filter(new Locator.FilterOptions().setHasText("The coach is blue.")))
                .isVisible();
        button("Close").click();

        goTo("Records");
        assertThat(page.getByText("“Coaches to the gate” is added and on.")).isVisible();
        Locator row = page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("Coaches to the gate"))
                .filter(new Locator.FilterOptions().setHasText("forwarded to"));
        assertThat(row).hasCount(1);
        assertThat(row).containsText("forwarded to " + GATE + " — done");
        row.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Arrival 10:40, 31 guests"))
                .click();
        isTold(
                "“Coaches to the gate”: picked, because it is mail from anyone at lindgren-coaches.example and with “arrival”");
    }
}
