package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** The stories of the first hour for somebody who uses no mouse: every control is reached by Tab and worked by keys. */
class WithoutMouseTest extends Journey {
    private static final int MOST_TABS = 60;
    private static final int MOST_REGIONS = 8;
    private static final int MOST_ITEMS = 20;
    private static final String NORA = "nora@keyboards.example";

    @Test
    void aRuleIsMadeFromMailTriedSwitchedOnAndSeenToAnswer() {
        jump("Incoming");
        press(
                page.getByTitle("Open this kind of mail")
                        .filter(new Locator.FilterOptions().setHasText("Are you open on"))
                        .first(),
                "Enter");
        press(button("Use these criteria").first(), "Enter");
        Assertions.assertThat(counter("PICKED")).isGreaterThan(20);
        press(button("Does"), "Enter");
        press(button("reply"), "Enter");
        write(
                page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true)),
                "We are open on every day but 25 December.");
        assertThat(page.getByText("would be answered.")).isVisible();
        press(button("Try a sample message …"), "Enter");
        assertThat(page.getByText("It would be replied to.")).isVisible();
        write(page.getByLabel("Name of the rule"), "Opening hours");
        press(button("Save and switch on"), "Enter");
        assertThat(page.getByText("“Opening hours” is on.")).isVisible();

        jump("Outside");
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Write as anybody"));
        write(form.getByLabel("From"), "Nora <" + NORA + ">");
        write(form.getByLabel("To", new Locator.GetByLabelOptions().setExact(true)), "visits@ostrel-gardens.example");
        write(form.getByLabel("Subject"), "Are you open on Whit Monday?");
        press(button("Send it"), "Enter");
        assertThat(form.getByText("Sent.")).isVisible();
        jump("Desk");
        Locator toApprove =
                page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("to approve"));
        press(toApprove.getByRole(AriaRole.LINK).last(), "Enter");
        press(
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Are you open on Whit Monday?")),
                "Enter");
        page.keyboard().press("Control+Enter");
        jump("Outside");
        assertThat(mailOf(NORA).getByRole(AriaRole.LISTITEM)).hasCount(1);
    }

    @Test
    void examplesAreGatheredAndARowHasItsMenu() {
        visit("/incoming?view=messages");
        search("rota meeting");
        press(inRow("rota meeting", "example"), "Enter");
        search("Can't make");
        press(inRow("Can't make", "counter-example"), "Enter");
        Locator examples = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Examples"));
        assertThat(examples).containsText("1 example, 1 counter-example");
        press(examples.getByText("Clear"), "Enter");
        assertThat(examples).hasCount(0);

        search("Are you open");
        reach(row("Are you open").getByRole(AriaRole.BUTTON).first());
        page.keyboard().press("Shift+F10");
        Locator start = page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Start a rule from it"));
        start.waitFor();
        for (int downs = 0; downs < MOST_ITEMS && !hasFocus(start); downs++) {
            page.keyboard().press("ArrowDown");
        }
        press(start, "Enter");
        assertThat(page.getByLabel("Remove Are you open on")).isVisible();
    }

    @Test
    void aRuleIsMovedAndTheOrderIsPutBack() {
        jump("Rules");
        Locator rule = page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("School visits to the education desk"));
        String before = rule.getAttribute("aria-label");
        reach(page.getByRole(AriaRole.GRID).getByRole(AriaRole.ROW).first());
        for (int downs = 0; downs < MOST_ITEMS && !hasFocus(rule); downs++) {
            page.keyboard().press("ArrowDown");
        }
        press(rule, "Alt+ArrowDown");
        assertThat(rule).not().hasAttribute("aria-label", before);
        press(button("Undo"), "Enter");
        assertThat(rule).hasAttribute("aria-label", before);
    }

    private void search(String words) {
        write(page.getByLabel("Words in subject or text"), words);
        assertThat(page.getByText(" in the last 90 days")).containsText(" of ");
        settled();
    }

    private Locator inRow(String subject, String verdict) {
        return row(subject).getByText(verdict, new Locator.GetByTextOptions().setExact(true));
    }

    /** By the jump box, as the guide says. */
    private void jump(String place) {
        page.keyboard().press("Control+k");
        page.keyboard().type(place);
        page.keyboard().press("Enter");
        settled();
    }

    private void press(Locator control, String key) {
        reach(control);
        page.keyboard().press(key);
    }

    private void write(Locator field, String text) {
        reach(field);
        page.keyboard().press("Control+a");
        page.keyboard().type(text);
    }

    /** Goes by F6 to the region of a control, and on by Tab until the control has the focus. */
    private void reach(Locator control) {
        control.waitFor();
        assertThat(control).isEnabled();
        int regions = 0;
        while (!hasFocus(control) && (regions == 0 || isElsewhere(control)) && regions < MOST_REGIONS) {
            page.keyboard().press("F6");
            regions++;
        }
        for (int tabs = 0; tabs < MOST_TABS; tabs++) {
            if (hasFocus(control)) {
                return;
            }
            page.keyboard().press("Tab");
        }
        Assertions.fail("no key reaches " + control);
    }

    /** The control lies in a region in which the focus is not. */
    private static boolean isElsewhere(Locator control) {
        return (boolean) control.evaluate("it => { const region = it.closest('[data-region]');"
                + " return region !== null && !region.contains(document.activeElement); }");
    }

    private static boolean hasFocus(Locator control) {
        return (boolean) control.evaluate("it => it === document.activeElement");
    }
}
