package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Every place, by keyboard, for everybody, and when two hands change the same thing. */
class AroundTest extends Journey {
    @Test
    void noPlaceHasASeriousAccessibilityFinding() {
        send("Anna <anna@norrskola.example>", "visits@ostrel-gardens.example", "Guided visit for 20 pupils", "hello");
        PLACES.forEach((name, path) -> {
            visit(path);
            assertThat(findings(page)).as(name).isEmpty();
        });
        visit("/incoming?view=messages");
        page.getByRole(AriaRole.LISTITEM)
                .first()
                .getByRole(AriaRole.BUTTON)
                .first()
                .click();
        settled();
        assertThat(findings(page)).as("message").isEmpty();
    }

    @Test
    void aRuleMovesByKeyboardIsAnnouncedAndCanBeTakenBack() {
        goTo("Rules");
        Locator row = page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("School visits"));
        String before = row.getAttribute("aria-label");
        int order = Integer.parseInt(before.substring(0, before.indexOf(',')));
        row.focus();
        page.keyboard().press("Alt+ArrowUp");
        assertThat(page.getByText("School visits to the education desk, order " + (order - 1) + " of"))
                .isAttached();
        assertThat(row).hasAttribute("aria-label", before.replaceFirst(order + ",", (order - 1) + ","));
        button("Undo").click();
        assertThat(row).hasAttribute("aria-label", before);
    }

    @Test
    void theJumpBoxFindsMessagesAndPeopleAndDoesThings() {
        page.keyboard().press("Control+k");
        page.keyboard().type("norrskola");
        page.getByRole(AriaRole.OPTION)
                .filter(new Locator.FilterOptions().setHasText("norrskola.example"))
                .first()
                .click();
        assertThat(page.getByText(" in the last 90 days")).containsText(" of ");
        page.keyboard().press("Control+k");
        page.keyboard().type("pause visits to the tropics");
        page.keyboard().press("Enter");
        assertThat(page.getByText("“Visits to the tropics house” is paused.")).isVisible();
        page.keyboard().press("Control+k");
        page.keyboard().type("switch on visits to the tropics");
        page.keyboard().press("Enter");
        assertThat(page.getByText("“Visits to the tropics house” is on. New mail only."))
                .isVisible();
    }

    @Test
    void theJumpBoxGoesToAnyRule() {
        page.keyboard().press("Control+k");
        page.keyboard().type("photo perm");
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("Name of the rule")).hasValue("Photo permits: how to apply");
        page.keyboard().press("F6");
        assertThat(page.locator(":focus")).not().hasCount(0);
    }

    @Test
    void enterPressedBeforeTheRulesAreThereGoesToTheRuleWhenTheyAre() {
        List<Route> held = new ArrayList<>();
        page.route("**/rule-book", held::add);
        page.navigate(Demo.ADDRESS + "/address-book");
        page.getByText("Jump to …").click();
        Locator box = page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Jump to"));
        box.pressSequentially("photo perm");
        box.press("Enter");
        assertThat(page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("photo permit"))
                        .first())
                .isVisible();
        page.unroute("**/rule-book");
        held.forEach(Route::resume);
        assertThat(page.getByLabel("Name of the rule")).hasValue("Photo permits: how to apply");
    }

    @Test
    void aBookSavedFromAnotherTabMeanwhileLosesNothing() {
        visit("/rules/ticket-notices");
        page.getByLabel("Name of the rule").fill("Notices, mine");
        Page other = anotherTab("/rules/seed-exchange");
        other.getByLabel("Name of the rule").fill("Seeds, theirs");
        other.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Save").setExact(true))
                .click();
        assertThat(other.getByText("“Seeds, theirs” is on.")).isVisible();
        button("Save").click();
        assertThat(page.getByText("The rules were changed meanwhile by Ilse Varga"))
                .isVisible();
        assertThat(page.getByLabel("Name of the rule")).hasValue("Notices, mine");
        button("Put my “Notices, mine” in their version").click();
        Locator grid = page.getByRole(AriaRole.GRID);
        assertThat(grid).containsText("Notices, mine");
        assertThat(grid).containsText("Seeds, theirs");
    }
}
