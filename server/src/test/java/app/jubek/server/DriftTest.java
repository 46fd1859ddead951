package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.drift.DriftLooks;
import app.jubek.server.mailbox.Mailboxes;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** A sender moves to another address: it is told once, with the criterion to add, until it is answered or dismissed. */
class DriftTest extends ServerTest {
    private static final String RULE = "weir-levels";

    @Autowired
    private DriftLooks looks;

    @Autowired
    private Mailboxes mailboxes;

    private Browser browser;

    @BeforeEach
    void theSenderMoved() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
        jdbc.sql("delete from drift").update();
        rules(fromTheOld());
        if (taken("weir") == 0) {
            for (int i = 0; i < 8; i++) {
                write(
                        "weir@old-gauges.example",
                        World.VISITS,
                        "weir gauge reading " + i,
                        "Level and flow of the hour.");
            }
            for (int i = 0; i < 4; i++) {
                write(
                        "weir@new-gauges.example",
                        World.VISITS,
                        "weir gauge reading " + i,
                        "Level and flow of the hour.");
            }
            await("all is taken in", () -> taken("weir") == 12);
            settled();
            jdbc.sql("update message set received_at = received_at - interval '60 days'"
                            + " where subject like 'weir%' and 'weir@old-gauges.example' = any(senders)")
                    .update();
            mailboxes.evidenceChanged(mailbox);
        }
    }

    private int taken(String word) {
        return jdbc.sql("select count(*) from message where subject like ?")
                .param(word + "%")
                .query(Integer.class)
                .single();
    }

    private static String fromTheOld() {
        return """
                {"id":"%s","version":1,"name":"Weir","picksOut":{"part":"sender","how":"is",
                "values":["weir@old-gauges.example"]},"does":[{"do":"mark","tags":["weir"]}],"ending":"continue","on":true}""".formatted(RULE);
    }

    private JsonNode found() {
        looks.look(mailbox);
        return browser.get("/api/mailboxes/" + mailbox + "/drifts");
    }

    @Test
    void theNewAddressIsToldWithWhatItWouldPickAndGoneOnceItIsAdded() {
        JsonNode found = found();
        assertThat(found).hasSize(1);
        assertThat(found.at("/0/rule").stringValue()).isEqualTo(RULE);
        assertThat(found.at("/0/sort").stringValue()).isEqualTo("NO_LONGER_PICKED");
        assertThat(found.at("/0/messages")).hasSize(4);
        assertThat(found.at("/0/messages/0/sender").toString()).contains("new-gauges");
        JsonNode changed = found.at("/0/changed");
        assertThat(RuleBookJson.readRule(changed).picksOut().tests().get(0).written())
                .containsExactly("weir@old-gauges.example", "weir@new-gauges.example");
        rules(changed.toString());
        assertThat(browser.get("/api/mailboxes/" + mailbox + "/drifts")).isEmpty();
        assertThat(found()).isEmpty();
    }

    @Test
    void whatWasDismissedOnceIsNotToldAgain() {
        String id = found().at("/0/id").stringValue();
        browser.post("/api/mailboxes/" + mailbox + "/drifts/" + id + "/dismiss", "");
        assertThat(browser.get("/api/mailboxes/" + mailbox + "/drifts")).isEmpty();
        assertThat(found()).isEmpty();
    }
}
