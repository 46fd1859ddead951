package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.time.Instant;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** The whole story of a rule for somebody who uses no mouse, from a message to one step undone. */
class NewcomerByKeysTest extends LeavesNoTrials {
    private static final int MOST = 34;

    private Locator named(AriaRole role, String pattern) {
        return page.getByRole(role, new Page.GetByRoleOptions().setName(Pattern.compile(pattern)))
                .first();
    }

    @Test
    void aRuleIsGivenTrialsRehearsedTestedForRealSwitchedOnAndCatchesUp() {
        Keys keys = new Keys(page);
        Instant begin = Instant.now();
        keys.jump("Incoming");
        keys.press(
                page.getByTitle("Open this kind of mail")
                        .filter(new Locator.FilterOptions().setHasText("rota meeting"))
                        .first(),
                "Enter");
        keys.press(button("Use these criteria").first(), "Enter");
        keys.press(button("Does"), "Enter");
        keys.press(button("file"), "Enter");
        keys.write(page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)), "Rota");
        keys.write(page.getByLabel("Name of the rule"), "Rota meetings");
        keys.press(button("Save paused"), "Enter");
        assertThat(page.getByText("is saved and paused.")).isVisible();

        keys.press(named(AriaRole.LINK, "trials? missing"), "Enter");
        Locator rule = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Rota meetings"));
        keys.press(
                rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Keep all"))),
                "Enter");
        assertThat(rule.getByText(Pattern.compile("^all \\d+ cases"))).isVisible();

        keys.press(button("Rehearse …"), "Enter");
        Locator tried = page.getByLabel("“Rota meetings” switched on");
        tried.waitFor();
        if (!tried.isChecked()) {
            keys.press(tried, "Space");
        }
        keys.press(button("Rehearse"), "Enter");
        assertThat(page.getByText("filed in Rota").first()).isVisible();

        keys.jump("Trials");
        keys.press(
                rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^picked")))
                        .first(),
                "Enter");
        keys.press(button("Send a real test …"), "Enter");
        Locator sheet = page.getByRole(AriaRole.DIALOG);
        keys.write(sheet.getByRole(AriaRole.COMBOBOX), "noor@keyboards.example");
        keys.press(sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Send 1 test")), "Enter");
        assertThat(sheet.getByText("as it must be").first()).isVisible();
        page.keyboard().press("Escape");

        keys.press(rule.getByRole(AriaRole.LINK).first(), "Enter");
        keys.press(button("Save and switch on"), "Enter");
        assertThat(page.getByText("“Rota meetings” is on.")).isVisible();

        keys.press(named(AriaRole.LINK, "^Catch up …"), "Enter");
        keys.press(button("Look it over"), "Enter");
        keys.press(named(AriaRole.BUTTON, "^Catch up on"), "Enter");
        Locator catchUp =
                page.getByRole(AriaRole.LISTITEM, new Page.GetByRoleOptions().setName("Catch-up with “Rota meetings”"));
        assertThat(catchUp.getByText(Pattern.compile("^done"))).isVisible();
        keys.jump("Records");
        keys.press(button("Undo …").first(), "Enter");
        keys.press(button("Undo 1 step"), "Enter");
        assertThat(page.getByText("undone: filed in Rota").first()).isVisible();
        System.out.printf(
                "the whole story by keys: %d actions, %d s%n",
                keys.actions(), Duration.between(begin, Instant.now()).toSeconds());
        Assertions.assertThat(keys.actions()).isLessThanOrEqualTo(MOST);
    }
}
