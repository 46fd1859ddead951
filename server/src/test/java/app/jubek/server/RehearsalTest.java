package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.formats.rulebook.RuleBookJson;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Other rules over mail that really came in, beside those of now. */
class RehearsalTest extends ServerTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String REHEARSED = step("{'do':'file','folder':'Rehearsed'}");

    private Browser browser;

    @BeforeEach
    void someMail() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
        rules(rule("bulbs", "rehearsed bulbs", "continue", REHEARSED));
        if (count() == 0) {
            write("lena@rehearsal.example", World.VISITS, "rehearsed bulbs", "x");
            write("tom@rehearsal.example", World.VISITS, "rehearsed ferns", "x");
            await("all is stored", () -> count() == 2);
        }
    }

    @AfterEach
    void noRules() {
        rules();
    }

    private int count() {
        return jdbc.sql("select count(*) from message where senders[1] like '%@rehearsal.example'")
                .query(Integer.class)
                .single();
    }

    private HttpResponse<String> send(String method, String path, String body) {
        return browser.send(method, "/api/mailboxes/" + mailbox + "/rehearsals" + path, body, "application/json");
    }

    private JsonNode ok(String method, String path, String body) {
        HttpResponse<String> answer = send(method, path, body);
        assertThat(answer.statusCode()).as(answer.body()).isLessThan(300);
        return JSON.readTree(answer.body().isEmpty() ? "null" : answer.body());
    }

    private static String document(String... rules) {
        String written =
                "{\"format\":\"jubek-rule-book\",\"formatVersion\":2,\"rules\":[" + String.join(",", rules) + "]}";
        return RuleBookJson.write(RuleBookJson.read(written)).toString();
    }

    private JsonNode rehearsed(String document) {
        String id = ok("POST", "", "{\"words\":\"ferns\",\"document\":" + document + ",\"days\":30}")
                .get("id")
                .stringValue();
        await(
                "it is done",
                () -> ok("GET", "/" + id, "").get("state").stringValue().equals("DONE"));
        return ok("GET", "/" + id, "");
    }

    @Test
    void whoChangesHandsIsSaidWithItsExplanationByBoth() {
        JsonNode done = rehearsed(document(rule("ferns", "rehearsed ferns", "continue", REHEARSED)));
        assertThat(done.at("/result/changing").intValue()).isEqualTo(2);
        assertThat(done.at("/result/messages").intValue())
                .isEqualTo(done.get("of").intValue());
        String id = done.get("id").stringValue();
        JsonNode moving = ok("GET", "/" + id + "/messages?of=RULE_AFTER&one=ferns", "");
        assertThat(moving.get("messages").intValue()).isEqualTo(1);
        JsonNode ferns = moving.at("/page/0");
        assertThat(ferns.at("/message/subject").stringValue()).isEqualTo("rehearsed ferns");
        assertThat(ferns.at("/before/0/code").stringValue()).isEqualTo("REHEARSAL_LEFT_IN_INBOX");
        assertThat(ferns.at("/after/0/code").stringValue()).isEqualTo("FILED_IN");
        JsonNode both =
                ok("GET", "/" + id + "/messages/" + ferns.at("/message/id").longValue(), "");
        assertThat(both.get("before").size()).isPositive();
        assertThat(both.get("after").toString()).contains("OUTCOME_PICKED");
        JsonNode flow = done.at("/result/flows")
                .valueStream()
                .filter(one -> !one.get("from").equals(one.get("to")))
                .findFirst()
                .orElseThrow();
        JsonNode through = ok(
                "GET",
                "/" + id + "/messages?of=FLOW&one=" + flow.get("from").stringValue() + "&other="
                        + flow.get("to").stringValue(),
                "");
        assertThat(through.get("messages")).isEqualTo(flow.get("messages"));
    }

    @Test
    void itIsKeptWithANameRehearsedAgainAndEnded() {
        String draft = document(rule("ferns", "rehearsed ferns", "continue", REHEARSED));
        JsonNode line = ok(
                "POST",
                "/kept",
                "{\"name\":\"Ferns\",\"document\":" + draft + ",\"days\":30,\"messages\":2,\"changing\":2}");
        JsonNode kept = ok("GET", "/kept/" + line.get("id").stringValue(), "");
        JsonNode again = rehearsed(kept.get("document").toString());
        assertThat(again.at("/result/changing").intValue()).isEqualTo(2);
        ok("DELETE", "/" + again.get("id").stringValue(), "");
        assertThat(send("GET", "/" + again.get("id").stringValue(), "").statusCode())
                .isEqualTo(404);
        ok("DELETE", "/kept/" + line.get("id").stringValue(), "");
        assertThat(ok("GET", "/kept", "").valueStream().toList()).isEqualTo(List.of());
    }

    /** What it found was in the memory of a process that is gone; the rules are kept. */
    @Test
    void oneThatAStopBrokeOffGoesOnAndIsFoundAmongTheOpenOnes() {
        String document = document(rule("ferns", "rehearsed ferns", "continue", REHEARSED));
        UUID id = UUID.randomUUID();
        jdbc.sql("insert into open_rehearsal (id, mailbox_id, words, document, days, state, begun_at, begun_by)"
                        + " values (?, ?, 'ferns', ?::jsonb, 30, 'RUNNING', now(), 'Noor')")
                .params(id, mailbox, document)
                .update();
        await("it is done", () -> isDone(ok("GET", "", ""), id));
        assertThat(ok("GET", "/" + id, "").at("/result/changing").intValue()).isEqualTo(2);
        assertThat(ok("GET", "/" + id + "/rules", "").get("document")).isEqualTo(JSON.readTree(document));
        ok("DELETE", "/" + id, "");
        assertThat(isDone(ok("GET", "", ""), id)).isFalse();
    }

    private static boolean isDone(JsonNode open, UUID id) {
        return open.valueStream()
                .anyMatch(one -> one.get("id").stringValue().equals(id.toString())
                        && one.get("state").stringValue().equals("DONE"));
    }
}
