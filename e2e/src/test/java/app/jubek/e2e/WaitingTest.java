package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What a rule sends is looked at before it leaves: on approval, or while it can still be stopped. */
class WaitingTest extends Journey {
    private static final String VISITS = "visits@ostrel-gardens.example";
    private static final String LENA = "lena@postbox.example";

    private void replyTo(String words, String name, String text) {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", words);
        newStep("reply to its sender");
        page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true)).fill(text);
        page.getByLabel("Name of the rule").fill(name);
    }

    private void toWaiting() {
        goTo("Records");
        button("Waiting").click();
    }

    private Locator group(String title) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(title));
    }

    private Locator items(String group) {
        return group(group).getByRole(AriaRole.LISTITEM).getByRole(AriaRole.BUTTON);
    }

    @Test
    void theFirstFiveAreApprovedFromTheKeyboardAndTheSixthGoesByItself() {
        replyTo("tulip walk", "Tulip walks", "The walk is on Sunday at two.");
        switchOn();
        for (int i = 1; i <= 5; i++) {
            send("Guest <guest" + i + "@postbox.example>", VISITS, "tulip walk " + i, "When is it?");
        }
        toWaiting();
        Locator waiting = items("Tulip walks");
        assertThat(waiting).hasCount(5);
        assertThat(findings(page)).as("Waiting").isEmpty();
        waiting.first().click();
        for (int left = 4; left >= 0; left--) {
            assertThat(group("What would go out").getByText("The walk is on Sunday at two."))
                    .isVisible();
            page.keyboard().press("Control+Enter");
            assertThat(waiting).hasCount(left);
        }
        send("Guest <guest6@postbox.example>", VISITS, "tulip walk 6", "When is it?");
        assertThat(record("tulip walk 6", "replied to — done")).isVisible();
        assertThat(record("tulip walk 5", "replied to — done")).containsText("approved by Ilse Varga");
    }

    @Test
    void aReplyThatGoesOutLaterIsStoppedWrittenAnewAndSent() {
        replyTo("peony", "Peonies", "They flower in May.");
        choose("when it goes out", "after a while, and can be stopped until then");
        page.getByLabel("minutes until it goes out").fill("30");
        switchOn();
        send("Lena <" + LENA + ">", VISITS, "When do the peony beds flower?", "Hello");
        toWaiting();
        items("Goes out by itself")
                .filter(new Locator.FilterOptions().setHasText("peony beds"))
                .click();
        button("Stop it").click();
        items("Peonies").click();
        button("Edit").click();
        page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true))
                .fill("Dear Lena, in the last week of May.");
        page.keyboard().press("Control+Enter");
        assertThat(items("Peonies")).hasCount(0);
        goTo("Outside");
        mailOf(LENA).getByRole(AriaRole.LISTITEM).first().click();
        assertThat(page.getByRole(AriaRole.PARAGRAPH)
                        .filter(new Locator.FilterOptions().setHasText("Dear Lena, in the last week of May.")))
                .isVisible();
        assertThat(page.getByText("Auto-Submitted:")).hasCount(0);
        button("Close").click();
        assertThat(record("peony beds", "replied to — done")).containsText("edited and approved by Ilse Varga");
    }

    @Test
    void aReplyComposedFromTheMessageIsTriedFirstThenEditedAndSent() {
        replyTo(
                "lost: a",
                "Lost things",
                "Hello,\n\nwhat is found is kept at the gate for 30 days.\n\nThe visits desk");
        choose("when it goes out", "composed from the message, once somebody approves it");
        page.getByLabel("Instruction for composing it").fill("Answer what is asked.");
        button("Save and switch on").click();
        assertThat(page.getByText("its instruction was not tried yet")).isVisible();
        button("Try it on past messages").click();
        assertThat(page.getByText("Where each sentence comes from")).hasCount(3);
        switchOn();
        send("Malin <malin@postbox.example>", VISITS, "Lost: a green scarf", "Hello, have you found it? Malin");
        toWaiting();
        items("Lost things").click();
        Locator composed = group("What would go out");
        assertThat(composed.getByText("Composed from the message by")).isVisible();
        assertThat(composed.getByText("You ask: “Hello, have you found it?”").first())
                .isVisible();
        assertThat(composed.locator("mark")).containsText("We are sure that you will like it here.");
        assertThat(findings(page)).as("a composed reply").isEmpty();
        button("Edit").click();
        Locator text = page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true));
        assertThat(text).hasValue(Pattern.compile("You ask: “Hello, have you found it\\?”"));
        text.fill("Dear Malin, it is at the gate.");
        page.keyboard().press("Control+Enter");
        assertThat(items("Lost things")).hasCount(0);
        goTo("Outside");
        mailOf("malin@postbox.example").getByRole(AriaRole.LISTITEM).first().click();
        assertThat(page.getByRole(AriaRole.PARAGRAPH)
                        .filter(new Locator.FilterOptions().setHasText("Dear Malin, it is at the gate.")))
                .isVisible();
        assertThat(page.getByText("Auto-Submitted:")).hasCount(0);
        button("Close").click();
    }
}
