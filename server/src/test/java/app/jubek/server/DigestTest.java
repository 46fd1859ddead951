package app.jubek.server;

import static app.jubek.core.step.StepState.HELD;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.server.digest.Digests;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
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

    /** SUNDAY lies before MONDAY: what begins at the weekend is told on Friday. */
    @Test
    void onTheWorkingDayBeforeARuleBeginsOrEndsItIsTold() {
        rules(
                timed("sunday-walks", "'first':'" + day(SUNDAY) + "'"),
                timed("winter-prices", "'last':'" + day(TUESDAY) + "'"));
        assertThat(wanted(ILSE)).isEqualTo(200);
        int before = told();
        digests.sendDue(SUNDAY.minusSeconds(2 * 86_400));
        await("on Friday, of Sunday", () -> told() == before + 1);
        assertThat(newest()).contains("“sunday-walks” begins to act").doesNotContain("winter-prices");
        digests.sendDue(MONDAY_AT_NINE);
        await("on Monday, of Tuesday", () -> told() == before + 2);
        assertThat(newest()).contains("“winter-prices” acts for the last time").doesNotContain("sunday-walks");
    }

    private static String timed(String rule, String days) {
        return rule(rule, "walks", "continue", step("{'do':'file','folder':'Walks'}"))
                .replace("\"on\":true", step("'active':{'hours':'always'," + days + "},'on':true"));
    }

    private static LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, ZoneId.of("Europe/Stockholm"));
    }

    private String newest() {
        return inFolder(
                ILSE,
                "INBOX",
                messages -> messages[messages.length - 1].getContent().toString());
    }

    @Test
    void whatWaitsIsNotToldOutside() {
        assertThat(wanted("ilse@postbox.example")).isEqualTo(422);
        assertThat(browser.get(path()).has("address")).isFalse();
    }
}
