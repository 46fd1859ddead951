package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Old mail is handed on only after a yes with the number, and of what was done only that is undone which can be. */
class CatchUpTest extends LeavesNoTrials {
    private static final String VISITS = "visits@ostrel-gardens.example";
    private static final String SEEDS = "seeds@ostrel-gardens.example";

    @Test
    void oldMailIsHandedOnAfterAYesAndWhatCanBeUndoneIsUndone() {
        for (int i = 1; i <= 2; i++) {
            send("Runa Hallberg <runa@letterbox.example>", VISITS, "Heather seed, parcel " + i, "By post.");
        }
        visit("/incoming?view=messages");
        assertThat(row("Heather seed")).isVisible();
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "heather seed");
        newStep("redirect it: the same message, untouched");
        type("add an address to redirect to", SEEDS);
        newStep("file it in a folder");
        page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)).fill("Heather seed");
        page.getByLabel("Name of the rule").fill("Heather parcels");
        switchOn();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Catch up …"))
                .click();
        button("Look it over").click();

        Locator catchUp = page.getByRole(
                AriaRole.LISTITEM, new Page.GetByRoleOptions().setName("Catch-up with “Heather parcels”"));
        assertThat(catchUp).containsText("left out: redirected to " + SEEDS + ", 2 messages");
        page.getByLabel("Hand on this old mail, too").check();
        Locator start = button("Catch up on 2 messages");
        assertThat(start).isDisabled();
        page.getByLabel("Yes, hand on 2 messages").check();
        assertThat(findings(page)).as("looked over").isEmpty();
        start.click();
        assertThat(catchUp).containsText("Steps: 4 done");
        assertThat(findings(page)).as("done").isEmpty();

        catchUp.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Undo …"))
                .click();
        Locator sheet = page.getByRole(AriaRole.DIALOG);
        assertThat(sheet).containsText("2 messages go back to the folders where they were");
        assertThat(sheet).containsText(Pattern.compile("2 steps: it was sent"));
        assertThat(findings(page)).as("Undo").isEmpty();
        button("Undo 2 steps").click();
        assertThat(catchUp).containsText("2 undone");
        assertThat(record("Heather seed, parcel 1", "undone: filed in Heather seed"))
                .isVisible();

        page.getByLabel("words in the subject").fill("Heather seed");
        assertThat(page.getByText("6 records, newest first")).isVisible();
        choose("action", "redirected");
        assertThat(page.getByText("2 records, newest first")).isVisible();
        assertThat(findings(page)).as("Records").isEmpty();
        button("Clear").click();
        assertThat(page.getByText("2 records, newest first")).hasCount(0);
    }
}
