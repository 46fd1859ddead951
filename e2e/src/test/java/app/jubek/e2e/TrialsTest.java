package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Trials kept with one click, a change that they hold back, and the deliberate way past them. */
class TrialsTest extends LeavesNoTrials {
    private static final String VISITS = "visits@ostrel-gardens.example";
    private static final String SEEDS = "seeds@ostrel-gardens.example";
    private static final String RULE = "Stalls at the herb fair";

    @Test
    void aChangeThatMakesATrialDifferIsHeldBackSaidOnTheDeskAndTakenAsItIs() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "herb fair");
        newStep("file it in a folder");
        page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)).fill("Herb fair");
        page.getByLabel("Name of the rule").fill(RULE);
        switchOn();
        send("Tove Almgren <tove@letterbox.example>", VISITS, "A stall at the herb fair?", "I grow mint.");
        assertThat(record("A stall at the herb fair?", "filed in Herb fair")).isVisible();

        visit("/trials");
        Locator rule = withItsCases(RULE);
        rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Keep all 2"))
                .click();
        assertThat(rule.getByText("all 2 cases")).isVisible();
        assertThat(findings(page)).as("Trials").isEmpty();

        rule.getByRole(AriaRole.LINK).first().click();
        type("add a value to words", "herb market");
        button("Remove herb fair").click();
        button("Save").click();
        Locator refused =
                page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("A trial differs"));
        assertThat(refused.getByRole(AriaRole.LINK)).hasText("A stall at the herb fair?");
        button("Switch on all the same").click();
        assertThat(page.getByText("is on.").first()).isVisible();

        goTo("Desk");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("1 trial differs"))
                .click();
        Locator trial =
                page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("The selected trial"));
        assertThat(trial).containsText("picked by no rule");
        assertThat(trial).containsText("it held before a change");
        assertThat(findings(page)).as("a trial that differs").isEmpty();
        button("Edit …").click();
        button("Blank personal parts").click();
        assertThat(page.getByLabel("from", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Person 1 <person1@letterbox.example>");
        button("Save").click();
        assertThat(page.getByText("is saved.")).isVisible();
        button("It should be so now").click();
        assertThat(page.getByText("0 differ")).isVisible();
    }

    /** Of many rules the cases are shown only where somebody asks for them. */
    private Locator withItsCases(String name) {
        Locator rule = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
        Locator show = rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Show its cases"));
        Locator keep =
                rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Keep")));
        assertThat(show.or(keep).first()).isVisible();
        if (show.isVisible()) {
            show.click();
        }
        return rule;
    }

    @Test
    void aTrialIsSentForRealThroughAPausedRuleSeenAtTheOtherEndAndCleanedUpAfter() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "bulb swap");
        newStep("redirect it: the same message, untouched");
        type("add an address to redirect to", SEEDS);
        page.getByLabel("Name of the rule").fill("Bulb swaps");
        button("Save paused").click();
        assertThat(page.getByText("is saved").first()).isVisible();
        visit("/trials");
        Locator rule = withItsCases("Bulb swaps");
        rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Keep")))
                .first()
                .click();
        assertThat(rule.getByText("picked by")
                        .or(rule.getByText("handed on to"))
                        .first())
                .isVisible();

        rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^picked")))
                .first()
                .click();
        button("Send a real test …").click();
        Locator sheet = page.getByRole(AriaRole.DIALOG);
        sheet.getByRole(AriaRole.COMBOBOX).fill(VISITS);
        assertThat(sheet.getByRole(AriaRole.ALERT)).containsText("proves nothing");
        sheet.getByRole(AriaRole.COMBOBOX).fill("tove@letterbox.example");
        sheet.getByRole(AriaRole.CHECKBOX, new Locator.GetByRoleOptions().setName("picked by “Bulb swaps”"))
                .check();
        assertThat(sheet).containsText("Real messages reach " + SEEDS);
        assertThat(findings(page)).as("Send a real test").isEmpty();
        sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Send 1 test"))
                .click();
        assertThat(sheet).containsText("redirected to " + SEEDS + ": came in at " + SEEDS);
        assertThat(sheet.getByText("as it must be").first()).isVisible();
        assertThat(findings(page)).as("what came of it").isEmpty();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Clean up after")))
                .click();
        assertThat(page.getByText("of tests removed.")).isVisible();
        button("Close").click();
        assertThat(record("bulb swap", "redirected to")).containsText("real test, from tove@letterbox.example");
    }

    @Test
    void aPausedRuleIsRehearsedOverPastMailKeptWithANameAndUsed() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "Lost: a");
        newStep("file it in a folder");
        page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)).fill("Lost things");
        page.getByLabel("Name of the rule").fill("Lost things");
        button("Save paused").click();
        assertThat(page.getByText("is saved and paused.")).isVisible();

        visit("/trials/rehearsal");
        assertThat(page.getByText("Try the rules of now with")).isVisible();
        Locator chosen = page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setChecked(true));
        while (chosen.count() > 0) {
            chosen.first().uncheck();
        }
        Locator more =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("more rules?$")));
        if (more.isVisible()) {
            more.click();
        }
        page.getByLabel("“Lost things” switched on").check();
        button("Rehearse").click();
        assertThat(page.getByText("stay as they are")).isVisible();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName(Pattern.compile("left in the inbox → filed in Lost things")))
                .click();
        Locator messages = page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("left in the inbox → filed in Lost things"));
        messages.getByRole(AriaRole.LISTITEM).first().getByRole(AriaRole.BUTTON).click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("by the rules of now")))
                .containsText("“Lost things”: paused.");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("by the others")))
                .containsText("“Lost things”: picked");
        assertThat(findings(page)).as("a rehearsal").isEmpty();
        for (String tab : List.of("per rule", "overlaps", "near misses", "more than one reply", "volume")) {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + tab)))
                    .click();
            assertThat(findings(page)).as(tab).isEmpty();
        }
        button("Keep as …").click();
        page.getByLabel("name", new Page.GetByLabelOptions().setExact(true)).fill("With lost things");
        button("Keep it").click();
        assertThat(page.getByText("The rehearsal is kept as “With lost things”."))
                .isVisible();
        button("Use these rules").click();
        assertThat(page.getByText("The rehearsed rules are saved.")).isVisible();
        button("Kept: 1 …").click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Open, to rehearse it again"))
                .click();
        button("Rehearse").click();
        assertThat(page.getByText("0 messages change hands")).isVisible();
    }

    @Test
    void aLineOfTheEvidenceBecomesATrial() {
        visit("/rules/seed-exchange");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Keep “.*” as a trial")))
                .first()
                .click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("The rule must pick it"))
                .click();
        assertThat(page.getByText("Kept as a trial: the rule must pick it.")).isVisible();
        button("Undo").click();
        assertThat(page.getByText("The trial is removed.")).isVisible();
    }
}
