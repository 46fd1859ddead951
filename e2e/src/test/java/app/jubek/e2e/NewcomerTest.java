package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.time.Instant;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** From the first look to an answering rule that one has seen at work, counted in clicks and filled-in fields. */
class NewcomerTest extends Journey {
    private static final int SIGNING_IN = 3;
    private static final int MOST = 20;
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
        long seconds = Duration.between(begin, Instant.now()).toSeconds();
        System.out.printf("the newcomer's story: %d actions, %d s%n", actions, seconds);
        Assertions.assertThat(actions).isLessThanOrEqualTo(MOST);
    }

    private Locator link(String name) {
        return page.getByRole(
                        AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true))
                .first();
    }
}
