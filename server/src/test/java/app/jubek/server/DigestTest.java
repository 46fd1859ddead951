package app.jubek.server;

import static app.jubek.core.step.StepState.HELD;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.server.digest.Digests;
import java.time.Instant;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Who wants it is told once on each working day, when the mailbox opens, what waits. */
class DigestTest extends ServerTest {
    private static final String ILSE = "ilse.varga@ostrel-gardens.example";
    private static final Instant SUNDAY = Instant.parse("2090-01-01T10:00:00Z");
    private static final Instant MONDAY_BEFORE_NINE = Instant.parse("2090-01-02T07:59:00Z");
    private static final Instant MONDAY_AT_NINE = Instant.parse("2090-01-02T08:00:00Z");
    private static final Instant TUESDAY = Instant.parse("2090-01-03T10:00:00Z");

    @Autowired
    private Digests digests;

    private Browser browser;

    @BeforeEach
    void somethingWaits() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
        rules(rule(
                "digest", "quince jelly", "continue", step("{'do':'reply','text':'Gladly.','release':'on approval'}")));
        write("mina@postbox.example", World.VISITS, "quince jelly for the fair", "x");
        await("it waits", () -> steps("digest").stream().anyMatch(step -> step.state() == HELD));
    }

    @AfterEach
    void nothingIsLeftOver() {
        browser.send("DELETE", path(), "", "application/json");
        rules();
    }

    private String path() {
        return "/api/mailboxes/" + mailbox + "/digest";
    }

    private int wanted(String address) {
        return browser.send("PUT", path(), "{\"address\":\"" + address + "\"}", "application/json")
                .statusCode();
    }

    private int told() {
        return mail(ILSE, "INBOX").size();
    }

    @Test
    void itComesOnceADayWhenTheMailboxIsOpenAndNamesWhatWaits() {
        assertThat(wanted(ILSE)).isEqualTo(200);
        digests.sendDue(SUNDAY);
        digests.sendDue(MONDAY_BEFORE_NINE);
        assertThat(told()).as("closed").isZero();

        digests.sendDue(MONDAY_AT_NINE);
        await("it came", () -> told() == 1);
        String text =
                inFolder(ILSE, "INBOX", messages -> messages[0].getContent().toString());
        assertThat(text)
                .contains("quince jelly for the fair, from")
                .contains("https://jubek.ostrel-gardens.example/records?view=waiting");
        assertThat(mail(ILSE, "INBOX").get(0)).contains("Auto-Submitted: auto-generated");

        digests.sendDue(MONDAY_AT_NINE.plusSeconds(3_600));
        digests.sendDue(TUESDAY);
        await("the next day", () -> told() == 2);

        browser.send("DELETE", path(), "", "application/json");
        digests.sendDue(TUESDAY.plusSeconds(86_400));
        assertThat(told()).as("not wanted any more").isEqualTo(2);
    }

    @Test
    void whatWaitsIsNotToldOutside() {
        assertThat(wanted("ilse@postbox.example")).isEqualTo(422);
        assertThat(browser.get(path()).has("address")).isFalse();
    }
}
