package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A flood is held before it does harm, told of in one row, and dealt with by kinds; nothing of it is lost. */
class FloodTest extends Journey {
    private static final String SEEDS = "seeds@ostrel-gardens.example";
    private static final String STORE = "store@ostrel-gardens.example";
    private static final int MESSAGES = 300;

    /** In an hour, for one rule. */
    private static final int LEAVE_BY_THEMSELVES = 100;

    private Locator kind(String subject) {
        return page.getByRole(
                AriaRole.REGION,
                new Page.GetByRoleOptions().setName(Pattern.compile("over the limit · “" + subject + "”")));
    }

    private int actOnAll(String act, String yes, String subject) {
        Locator all = kind(subject).getByText(Pattern.compile(act + " all [0-9]+ …"));
        int messages = Integer.parseInt(all.innerText().split(" ")[2]);
        all.click();
        button(yes).click();
        assertThat(kind(subject)).hasCount(0);
        return messages;
    }

    @Test
    void whatAFloodMakesLeaveIsHeldAndSentOrDiscardedByKind() {
        choose("current mailbox", SEEDS + " · Ostrel Gardens, seed exchange");
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "hyacinth bulbs");
        newStep("forward it: a new message from you");
        type("add an address to forward to", STORE);
        page.getByLabel("Name of the rule").fill("Bulbs to the store");
        switchOn();
        for (int i = 0; i < MESSAGES; i++) {
            String subject = i % 5 == 0 ? "Order " + i + " of hyacinth bulbs" : "Notice " + i + " about hyacinth bulbs";
            Demo.write("Guest <guest" + i % 60 + "@postbox.example>", SEEDS, subject, "By post, please.");
        }
        goTo("Records");
        button("Waiting").click();
        Locator waiting = page.locator("[data-step]");
        assertThat(waiting).hasCount(MESSAGES - LEAVE_BY_THEMSELVES);
        goTo("Desk");
        assertThat(page.getByText("200 messages held, as more are leaving than usual"))
                .isVisible();
        goTo("Records");
        button("Waiting").click();
        int sent = actOnAll("Send", "Send them", "Order … of hyacinth bulbs");
        int discarded = actOnAll("Discard", "Discard them", "Notice … about hyacinth bulbs");
        assertThat(sent + discarded).isEqualTo(MESSAGES - LEAVE_BY_THEMSELVES);
        assertThat(waiting).hasCount(0);
        goTo("Outside");
        assertThat(mailOf(STORE).getByRole(AriaRole.LISTITEM)).hasCount(LEAVE_BY_THEMSELVES + sent);
        goTo("Rules");
        button("Remove …").click();
        button("Remove it").click();
        assertThat(page.getByText("No rules yet, so all mail stays in the inbox."))
                .isVisible();
    }
}
