package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.step.StepState;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Whatever is asked of the records has to hold, all of it; they come by pages, with counts, and as a file. */
class RecordsTest extends ServerTest {
    private static final String RULE = "begonias";

    private Browser browser;

    @BeforeEach
    void someAreThere() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
        if (steps(RULE).isEmpty()) {
            rules(rule(
                    RULE,
                    "begonia",
                    "stop here",
                    step("{'do':'redirect','to':['gate@ostrel-gardens.example']}"),
                    step("{'do':'file','folder':'Begonias'}")));
            write("wilma@begonias.example", World.VISITS, "begonia 100% sure", "x");
            write("wilma@begonias.example", World.VISITS, "=cmd begonia", "x");
            write("otto@begonias.example", World.VISITS, "begonia show", "x");
            await(
                    "all is done",
                    () -> steps(RULE).stream()
                                    .filter(step -> step.state() == StepState.SENT)
                                    .count()
                            == 6);
        }
    }

    private JsonNode asked(String path, String query) {
        return browser.get("/api/mailboxes/" + mailbox + path + "?rule=" + RULE + "&" + query);
    }

    @ParameterizedTest
    @CsvSource({
        "'', 6",
        "states=SENT&actions=FILE, 3",
        "states=HELD, 0",
        "sender=WILMA, 4",
        "sender=wilma&actions=REDIRECT, 2",
        "recipient=gate%40ostrel, 3",
        "words=Begonia%20show, 2",
        "words=0%25, 2",
        "words=o_c, 0",
        "from=2020-01-01T00:00:00Z&until=2021-01-01T00:00:00Z, 0",
    })
    void allThatIsAskedOfThemHolds(String query, int found) {
        assertThat(asked("/records", query).get("records")).hasSize(found);
        assertThat(asked("/records/count", query).toString()).contains("\"records\":" + found);
    }

    @Test
    void pagesFollowOneAnotherWithoutAGapOrARepeat() {
        List<String> all = new ArrayList<>();
        String after = "";
        do {
            JsonNode page = asked("/records", "limit=2&after=" + after);
            page.get("records").forEach(one -> all.add(one.at("/step/id").stringValue()));
            after = page.has("next") ? page.get("next").stringValue() : "";
        } while (!after.isEmpty());
        assertThat(all).doesNotHaveDuplicates();
        assertThat(all)
                .containsExactlyElementsOf(
                        steps(RULE).stream().map(step -> step.id().toString()).toList());
        assertThat(browser.send("GET", "/api/mailboxes/" + mailbox + "/records?after=x", "", "text/plain")
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void whoChangedTheRulesStandsBesideWhatWasDone() {
        JsonNode changes =
                browser.get("/api/mailboxes/" + mailbox + "/records?limit=500").get("changes");
        assertThat(changes).anySatisfy(change -> {
            assertThat(change.get("of").stringValue()).isEqualTo("RULES");
            assertThat(change.get("who").stringValue()).isEqualTo("test");
            assertThat(change.get("changes").toString()).contains(RULE);
        });
        assertThat(asked("/records", "").get("changes")).isEmpty();
    }

    @Test
    void settingsStandAmongTheChangesWithWhoChangedThem() {
        browser.send("PUT", "/api/mailboxes/" + mailbox + "/stop?all=false", "", "application/json");
        browser.send("DELETE", "/api/mailboxes/" + mailbox + "/stop", "", "application/json");

        JsonNode changes =
                browser.get("/api/mailboxes/" + mailbox + "/records?limit=500").get("changes");

        List<String> settings = new ArrayList<>();
        changes.forEach(change -> {
            if (change.get("of").stringValue().equals("SETTING")) {
                settings.add(change.get("who").stringValue() + " "
                        + change.get("changes").get(0).get("code").stringValue());
            }
        });
        assertThat(settings)
                .containsSubsequence("Ilse Varga CHANGED_MAIL_LEAVES_AGAIN", "Ilse Varga CHANGED_MAIL_STOPPED");
    }

    /** RFC 4180 §2 has the quotes. */
    @Test
    void asAFileNothingIsTakenForAFormula() {
        String csv = browser.send(
                        "GET",
                        "/api/mailboxes/" + mailbox + "/records/csv?rule=" + RULE + "&actions=FILE",
                        "",
                        "text/csv")
                .body();
        assertThat(csv.lines()).hasSize(4);
        assertThat(csv).contains(",'=cmd begonia").contains("Begonias").doesNotContain(",=cmd");
    }
}
