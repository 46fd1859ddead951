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

/** From the first look to an answering rule that one has seen at work, counted in clicks and filled-in fields. */
class NewcomerTest extends LeavesNoTrials {
    private static final int SIGNING_IN = 3;
    private static final int MOST = 20;
    private static final int MOST_WITH_TRIALS = 30;
    private static final String LIV = "liv@newcomers.example";

    private int actions = SIGNING_IN;

    private void click(Locator what) {
        actions++;
        what.click();
    }

    private void fill(Locator field, String text) {
        actions++;
        field.fill(text);
    }

    @Test
    void aRuleIsMadeFromMailSeenOnPastMailTriedSwitchedOnAndSeenToAnswer() {
        Instant begin = Instant.now();
        click(link("Incoming"));
        click(page.getByTitle("Open this kind of mail")
                .filter(new Locator.FilterOptions().setHasText("Are you open on"))
                .first());
        assertThat(page.getByText("of this kind and no others").first()).isVisible();
        click(button("Use these criteria").first());
        Assertions.assertThat(counter("PICKED")).isGreaterThan(20);
        click(button("Does"));
        click(button("reply"));
        fill(
                page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true)),
                "We are open on every day but 25 December.");
        click(button("when it goes out: the first five once somebody approves them, then at once"));
        click(page.getByRole(AriaRole.MENUITEMRADIO, new Page.GetByRoleOptions().setName("at once"))
                .first());
        assertThat(page.getByText("would be answered.")).isVisible();
        click(button("Try a sample message …"));
        assertThat(page.getByText("It would be replied to.")).isVisible();
        fill(page.getByLabel("Name of the rule"), "Opening hours");
        click(button("Save and switch on"));
        assertThat(page.getByText("“Opening hours” is on.")).isVisible();

        click(link("Outside"));
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Write as anybody"));
        fill(form.getByLabel("From"), "Liv <" + LIV + ">");
        fill(form.getByLabel("To", new Locator.GetByLabelOptions().setExact(true)), "visits@ostrel-gardens.example");
        fill(form.getByLabel("Subject"), "Are you open on Whit Monday?");
        click(button("Send it"));
        Locator answer = mailOf(LIV).getByRole(AriaRole.LISTITEM);
        actions++;
        assertThat(answer).hasCount(1);
        told("the newcomer's story", begin);
        Assertions.assertThat(actions).isLessThanOrEqualTo(MOST);
    }

    @Test
    void aRuleIsGivenTrialsRehearsedTestedForRealSwitchedOnAndCatchesUp() {
        Instant begin = Instant.now();
        click(link("Incoming"));
        click(page.getByTitle("Open this kind of mail")
                .filter(new Locator.FilterOptions().setHasText("Lost: a"))
                .first());
        click(button("Use these criteria").first());
        click(button("Does"));
        click(button("file"));
        fill(page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)), "Lost property");
        fill(page.getByLabel("Name of the rule"), "Lost property");
        click(button("Save paused"));
        assertThat(page.getByText("is saved and paused.")).isVisible();

        click(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("trials? missing"))));
        Locator rule = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Lost property"));
        click(rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Keep all"))));
        assertThat(rule.getByText(Pattern.compile("^all \\d+ cases"))).isVisible();

        click(button("Rehearse …"));
        page.getByLabel("“Lost property” switched on").check();
        click(button("Rehearse"));
        assertThat(page.getByText("filed in Lost property").first()).isVisible();

        click(link("Trials"));
        click(rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^picked")))
                .first());
        click(button("Send a real test …"));
        Locator sheet = page.getByRole(AriaRole.DIALOG);
        fill(sheet.getByRole(AriaRole.COMBOBOX), LIV);
        click(sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Send 1 test")));
        assertThat(sheet.getByText("filed in Lost property: ").first()).isVisible();
        assertThat(sheet.getByText("as it must be").first()).isVisible();
        click(button("Close"));

        click(rule.getByRole(AriaRole.LINK).first());
        click(button("Save and switch on"));
        assertThat(page.getByText("“Lost property” is on.")).isVisible();

        click(link("Catch up …"));
        click(button("Look it over"));
        click(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Catch up on"))));
        Locator catchUp =
                page.getByRole(AriaRole.LISTITEM, new Page.GetByRoleOptions().setName("Catch-up with “Lost property”"));
        assertThat(catchUp.getByText(Pattern.compile("^done"))).isVisible();
        click(link("Records"));
        click(button("Undo …").first());
        click(button("Undo 1 step"));
        assertThat(page.getByText("undone: filed in Lost property").first()).isVisible();
        told("the story with trials, a rehearsal, a real test, catching up and one step undone", begin);
        Assertions.assertThat(actions).isLessThanOrEqualTo(MOST_WITH_TRIALS);
    }

    private void told(String story, Instant begin) {
        long seconds = Duration.between(begin, Instant.now()).toSeconds();
        System.out.printf("%s: %d actions, %d s%n", story, actions, seconds);
    }

    private Locator link(String name) {
        return page.getByRole(
                        AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true))
                .first();
    }
}
