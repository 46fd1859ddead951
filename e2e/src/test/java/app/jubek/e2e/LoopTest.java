package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Two programs outside that answer everything: their loop is shown before it can begin, and does not begin. */
class LoopTest extends Journey {
    private static final String VISITS = "visits@ostrel-gardens.example";
    private static final String BUSES = "answers.rota@valley-buses.example";
    private static final String PAPER = "answers.desk@parish-paper.example";

    @Test
    void aRuleThatWouldSendMailRoundIsRefusedWithItsMessagesAndSafeOnceTheirMailIsLeftOut() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "coach rota");
        newStep("forward it: a new message from you");
        type("add an address to forward to", BUSES);
        type("add an address to forward to", PAPER);
        choose("when it goes out", "at once");
        button("Save and switch on").click();

        Locator refused = page.getByRole(AriaRole.ALERT)
                .filter(new Locator.FilterOptions().setHasText("hands the answers on without end"));
        button("Show the messages").click();
        assertThat(page.getByText("and so on, without end")).isVisible();
        assertThat(page.getByRole(AriaRole.LISTITEM)
                        .filter(new Locator.FilterOptions().setHasText(BUSES + " to " + VISITS))
                        .first())
                .isVisible();
        assertThat(findings(page)).as("the messages").isEmpty();
        button("Close").click();
        refused.getByRole(AriaRole.BUTTON)
                .filter(new Locator.FilterOptions().setHasText("Leave out mail from"))
                .click();
        assertThat(refused).hasCount(0);
        switchOn();

        agree(BUSES);
        agree(PAPER);
        send("Planning <planning@lindgren-coaches.example>", VISITS, "coach rota for May", "Two coaches.");
        bothAnswer("Fwd: coach rota for May");
        send("Planning <planning@lindgren-coaches.example>", VISITS, "coach rota for June", "Three coaches.");
        bothAnswer("Fwd: coach rota for June");
        for (String address : new String[] {BUSES, PAPER}) {
            // The request and one forward of each message; no answer of the other.
            assertThat(mailOf(address).getByRole(AriaRole.LISTITEM)).hasCount(3);
        }
    }

    private void bothAnswer(String subject) {
        goTo("Outside");
        assertThat(mailOf(VISITS).getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(subject)))
                .hasCount(2);
    }

    /** One that answers every message is answered once, and the place says so beforehand. */
    @Test
    void aReplyToAProgramThatAnswersEverythingEndsAfterTheFirst() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "fernery map");
        newStep("reply to its sender");
        page.getByLabel("Subject (empty").fill("Your fernery map");
        page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true)).fill("It is at the gate.");
        choose("when it goes out", "at once");
        page.getByLabel("Name of the rule").fill("Maps of the fernery");
        switchOn();
        visit("/rules?view=where-mail-goes");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Maps of the fernery"))
                .click();
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY))
                .containsText("The next is withheld: this sender had a reply from this rule before");

        send("Guide <answers.guide@pocket-guide.example>", VISITS, "fernery map", "May we have one?");
        assertThat(record("Your fernery map", "had a reply from this rule before"))
                .isVisible();
        goTo("Outside");
        assertThat(mailOf("answers.guide@pocket-guide.example").getByRole(AriaRole.LISTITEM))
                .hasCount(1);
    }

    private void agree(String address) {
        Page request = pageOfRequest(address);
        request.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("I agree"))
                .click();
        assertThat(request.getByText("You agreed on")).isVisible();
        request.close();
    }
}
