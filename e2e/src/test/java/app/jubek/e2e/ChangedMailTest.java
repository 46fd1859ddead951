package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** One house of the gardens got new sensors, which write from another address. */
class ChangedMailTest extends Journey {
    @Test
    void theNewAddressOfASenderIsToldWithWhatItAddsToTheRule() {
        goTo("Desk");
        Locator changed = page.getByLabel("Mail that changed");
        assertThat(changed).containsText("alarm@frost-watch.example");
        changed.getByText("Add it to the rule").click();
        assertThat(page.getByText("alarm@frost-watch.example").first()).isVisible();
        assertThat(page.getByText("Propagation:").first()).isVisible();
        button("Discard draft").click();
        page.getByRole(AriaRole.ALERTDIALOG).getByText("Discard draft").last().click();
        goTo("Desk");
        changed.getByText("Dismiss").click();
        assertThat(changed).isHidden();
        page.reload();
        assertThat(page.getByLabel("Needs you")).isVisible();
        assertThat(changed).isHidden();
    }
}
