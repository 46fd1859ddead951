package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The stories of the first hour for somebody who uses no mouse: every control is reached by Tab and worked by keys. */
class WithoutMouseTest extends Journey {
    private static final int MOST_ITEMS = 20;
    private static final String NORA = "nora@keyboards.example";

    private Keys keys;

    @BeforeEach
    void withoutMouse() {
        keys = new Keys(page);
    }

    @Test
    void aRuleIsMadeFromMailTriedSwitchedOnAndSeenToAnswer() {
        keys.jump("Incoming");
        keys.press(
                page.getByTitle("Open this kind of mail")
                        .filter(new Locator.FilterOptions().setHasText("Are you open on"))
                        .first(),
                "Enter");
        keys.press(button("Use these criteria").first(), "Enter");
        Assertions.assertThat(counter("PICKED")).isGreaterThan(20);
        keys.press(button("Does"), "Enter");
        keys.press(button("reply"), "Enter");
        keys.write(
                page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true)),
                "We are open on every day but 25 December.");
        assertThat(page.getByText("would be answered.")).isVisible();
        keys.press(button("Try a sample message …"), "Enter");
        assertThat(page.getByText("It would be replied to.")).isVisible();
        keys.write(page.getByLabel("Name of the rule"), "Opening hours");
        keys.press(button("Save and switch on"), "Enter");
        assertThat(page.getByText("“Opening hours” is on.")).isVisible();

        keys.jump("Outside");
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Write as anybody"));
        keys.write(form.getByLabel("From"), "Nora <" + NORA + ">");
        keys.write(
                form.getByLabel("To", new Locator.GetByLabelOptions().setExact(true)), "visits@ostrel-gardens.example");
        keys.write(form.getByLabel("Subject"), "Are you open on Whit Monday?");
        keys.press(button("Send it"), "Enter");
        assertThat(form.getByText("Sent.")).isVisible();
        keys.jump("Desk");
        Locator toApprove =
                page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("to approve"));
        keys.press(toApprove.getByRole(AriaRole.LINK).last(), "Enter");
        keys.press(
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Are you open on Whit Monday?")),
                "Enter");
        page.keyboard().press("Control+Enter");
        keys.jump("Outside");
        assertThat(mailOf(NORA).getByRole(AriaRole.LISTITEM)).hasCount(1);
    }

    @Test
    void examplesAreGatheredAndARowHasItsMenu() {
        visit("/incoming?view=messages");
        search("rota meeting");
        keys.press(inRow("rota meeting", "example"), "Enter");
        search("Can't make");
        keys.press(inRow("Can't make", "counter-example"), "Enter");
        Locator examples = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Examples"));
        assertThat(examples).containsText("1 example, 1 counter-example");
        keys.press(examples.getByText("Clear"), "Enter");
        assertThat(examples).hasCount(0);

        search("Are you open");
        keys.reach(row("Are you open").getByRole(AriaRole.BUTTON).first());
        page.keyboard().press("Shift+F10");
        Locator start = page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Start a rule from it"));
        start.waitFor();
        for (int downs = 0; downs < MOST_ITEMS && !Keys.hasFocus(start); downs++) {
            page.keyboard().press("ArrowDown");
        }
        keys.press(start, "Enter");
        assertThat(page.getByLabel("Remove Are you open on")).isVisible();
    }

    @Test
    void aRuleIsMovedAndTheOrderIsPutBack() {
        keys.jump("Rules");
        Locator rule = page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("School visits to the education desk"));
        String before = rule.getAttribute("aria-label");
        keys.reach(page.getByRole(AriaRole.GRID).getByRole(AriaRole.ROW).first());
        for (int downs = 0; downs < MOST_ITEMS && !Keys.hasFocus(rule); downs++) {
            page.keyboard().press("ArrowDown");
        }
        keys.press(rule, "Alt+ArrowDown");
        assertThat(rule).not().hasAttribute("aria-label", before);
        keys.press(button("Undo"), "Enter");
        assertThat(rule).hasAttribute("aria-label", before);
    }

    private void search(String words) {
        keys.write(page.getByLabel("Words in subject or text"), words);
        assertThat(page.getByText(" in the last 90 days")).containsText(" of ");
        settled();
    }

    private Locator inRow(String subject, String verdict) {
        return row(subject).getByText(verdict, new Locator.GetByTextOptions().setExact(true));
    }
}
