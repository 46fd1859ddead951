package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.MouseButton;
import org.junit.jupiter.api.Test;

/** What people do first: see what keeps coming, gather messages, leave some out, try, and put in order. */
class FromMailToRuleTest extends Journey {
    private void open(String view) {
        goTo("Incoming");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(view)).click();
    }

    private void search(String words) {
        page.getByLabel("Words in subject or text").fill(words);
        assertThat(page.getByText(" in the last 90 days")).containsText(" of ");
        settled();
    }

    @Test
    void whatKeepsComingIsSeenAndBecomesARuleThatTakesIt() {
        open("Recurring mail");
        Locator kind = row("Lost: a");
        kind.getByText("Start a rule").click();
        assertThat(page.getByText("of this kind and no others").first()).isVisible();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Subject patterns"))
                        .getByText("Lost: a"))
                .not()
                .hasCount(0);
        button("Use these criteria").first().click();
        assertThat(page.getByText("your example: picked")).isVisible();
        assertThat(counter("PICKED")).isGreaterThan(100);
    }

    @Test
    void whatIsLookedForBecomesARuleAndARowHasAMenuOfItsOwn() {
        open("Messages");
        search("rota meeting");
        button("Start a rule from this search").click();
        assertThat(page.getByLabel("Remove rota meeting")).isVisible();
        assertThat(counter("PICKED")).isGreaterThan(20);
        open("Messages");
        search("Are you open");
        row("Are you open").click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Start a rule from it"))
                .click();
        assertThat(page.getByLabel("Remove Are you open on")).isVisible();
        assertThat(page.getByText("your example: picked")).isVisible();
    }

    @Test
    void messagesAreGatheredOverSearchesAndReloadAndToldApart() {
        open("Messages");
        search("rota meeting");
        row("rota meeting")
                .getByText("example", new Locator.GetByTextOptions().setExact(true))
                .click();
        search("Can't make");
        row("Can't make").getByText("counter-example").click();
        page.reload();
        Locator examples = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Examples"));
        assertThat(examples).containsText("1 example, 1 counter-example");
        examples.getByText("Start a rule from it").click();
        assertThat(page.getByText("picks 1 of the 1 example, and none of the 1 counter-example")
                        .first())
                .isVisible();
        button("Close").click();
        examples.getByText("Clear").click();
        assertThat(examples).hasCount(0);
    }

    @Test
    void aRuleFromOneMessageIsCorrectedByAnExceptionTriedAndKeptAsADraft() {
        open("Messages");
        search("price list for teachers");
        row("Price list for teachers").getByRole(AriaRole.BUTTON).first().click();
        button("Start a rule").click();
        assertThat(page.getByText("your example:")).isVisible();
        String at = page.url();
        page.getByLabel("Name of the rule").fill("Visits by schools");
        int before = counter("PICKED");
        page.getByText("leave out …").first().click();
        page.waitForResponse(
                kept -> kept.url().contains("/drafts/")
                        && kept.request().method().equals("PUT"),
                () -> page.getByText("leave out", new Page.GetByTextOptions().setExact(true))
                        .first()
                        .click());
        assertThat(page.locator("[data-counter=LEFT_OUT]")).not().hasText("0");
        assertThat(counter("PICKED")).isLessThan(before);

        button("Try a sample message …").click();
        page.getByLabel("subject", new Page.GetByLabelOptions().setExact(true)).fill("something quite different");
        assertThat(page.getByText("not picked, because")).isVisible();

        Page other = anotherTab(at.substring(at.indexOf("/rules/")));
        assertThat(other.getByLabel("Name of the rule")).hasValue("Visits by schools");
        other.close();
    }

    @Test
    void anOrderThatMakesMailChangeHandsIsShownBeforeItIsSaved() {
        goTo("Rules");
        Locator tropics = page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("Visits to the tropics house"));
        String before = tropics.getAttribute("aria-label");
        Locator visits = page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("School visits to the education desk"));
        tropics.dragTo(visits);
        assertThat(page.getByText("would be handled by other rules")).isVisible();
        button("Cancel").click();
        assertThat(tropics).hasAttribute("aria-label", before);
        tropics.dragTo(visits);
        button("Save this order").click();
        assertThat(tropics).not().hasAttribute("aria-label", before);
        button("Undo").click();
        assertThat(tropics).hasAttribute("aria-label", before);
    }

    @Test
    void aFindingHasARemedyAndHistoryLeadsBack() {
        goTo("Rules");
        Locator grid = page.getByRole(AriaRole.GRID);
        grid.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("Visits to the tropics house"))
                .click();
        button("Copy").click();
        Locator copy = grid.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("Visits to the tropics house, copy"));
        copy.click();
        copy.press("Space");
        assertThat(copy).containsText("worth a look");
        Locator findings = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Findings"));
        assertThat(findings).containsText("picks out and does the same as “Visits to the tropics house”");
        findings.getByText("Remove this rule").click();
        assertThat(copy).hasCount(0);
        button("History").click();
        assertThat(page.getByText("“Visits to the tropics house, copy” is removed."))
                .isVisible();
        button("Close").click();
    }
}
