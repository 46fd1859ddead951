package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Trials sent as real messages, from an address outside, through the real servers. */
class RealTestTest extends ServerTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String FROM = "probe@realtest.example";

    private Browser browser;

    @BeforeEach
    void signedIn() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
    }

    @AfterEach
    void nothingKept() {
        jdbc.sql("delete from trial").update();
        rules();
    }

    private HttpResponse<String> send(String method, String path, String body) {
        return browser.send(method, "/api/mailboxes/" + mailbox + path, body, "application/json");
    }

    private JsonNode ok(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isLessThan(300);
        return JSON.readTree(answer.body().isEmpty() ? "null" : answer.body());
    }

    /** Paused, so that mail that is no test goes by it. */
    private static String paused(String id, String criteria, String... steps) {
        return """
                {"id":"%s","version":1,"name":"%s","picksOut":{"all":[%s]},"does":[%s],"ending":"continue","on":false}""".formatted(
                        id,
                        id,
                        criteria,
                        String.join(",", Stream.of(steps).map(ServerTest::step).toList()));
    }

    private static String subject(String words) {
        return "{\"part\":\"subject\",\"how\":\"contains\",\"values\":[\"" + words + "\"]}";
    }

    private String keep(String rule, String from, String subject, boolean picked) {
        return ok(send("POST", "/trials", """
                {"order":0,"ruleId":"%s","picked":%s,"sample":{"from":"%s","to":"","subject":"%s","text":"Dear all"}}""".formatted(rule, picked, from, subject)))
                .get("id")
                .stringValue();
    }

    private JsonNode possible(String from) {
        return ok(send("GET", "/real-tests/possible?from=" + from, ""));
    }

    private HttpResponse<String> sendTests(String from, String... trials) {
        return send(
                "POST",
                "/real-tests",
                "{\"from\":\"" + from + "\",\"trials\":[\"" + String.join("\",\"", trials) + "\"]}");
    }

    private JsonNode latest() {
        return browser.get("/api/mailboxes/" + mailbox + "/real-tests").get(0);
    }

    private List<String> told() {
        return latest().get("lines")
                .valueStream()
                .map(line -> line.at("/how/code").stringValue())
                .toList();
    }

    private static List<String> subjects(String folder, String subject) {
        return mail(World.VISITS, folder).stream()
                .filter(m -> m.contains("Subject: " + subject))
                .toList();
    }

    private long evidence(String subject) {
        return jdbc.sql("select count(*) from message where subject = ? and status <> 'REAL_TEST'")
                .param(subject)
                .query(Long.class)
                .single();
    }

    @Test
    void aTestGoesThroughAPausedRuleIsSeenAtTheOtherEndCountsNowhereAndIsCleanedUp() {
        rules(paused(
                "probed",
                subject("orchid probe"),
                "{'do':'forward','to':['" + World.SEEDS + "']}",
                "{'do':'redirect','to':['glasshouse@ostrel-gardens.example']}",
                "{'do':'file','folder':'Probed'}"));
        String trial = keep("probed", "lena@school.example", "orchid probe", true);
        JsonNode can = possible(FROM).get(0);
        assertThat(can.has("against")).isFalse();
        assertThat(can.get("leavesTo").valueStream().map(JsonNode::stringValue))
                .containsExactlyInAnyOrder(World.SEEDS, "glasshouse@ostrel-gardens.example");
        ok(sendTests(FROM, trial));
        await("all is seen", () -> told().size() == 4 && !latest().get("open").booleanValue());
        assertThat(told())
                .containsExactlyInAnyOrder(
                        "REAL_TEST_CAME_IN", "REAL_TEST_SEEN_AT", "REAL_TEST_LEFT_US", "REAL_TEST_DONE");
        JsonNode seen = latest().get("lines")
                .valueStream()
                .filter(line -> line.at("/how/code").stringValue().equals("REAL_TEST_SEEN_AT"))
                .findFirst()
                .orElseThrow();
        assertThat(seen.at("/how/arguments/0").stringValue()).isEqualTo(World.SEEDS);
        assertThat(seen.at("/how/arguments/2").stringValue()).isEqualTo(World.VISITS);
        assertThat(seen.at("/how/arguments/3").stringValue()).contains("orchid probe");
        assertThat(latest().get("unmet").isEmpty()).isTrue();
        assertThat(evidence("orchid probe")).isZero();
        JsonNode uses = browser.get("/api/mailboxes/" + mailbox + "/uses");
        assertThat(uses.toString()).doesNotContain("probed");
        write("lena@school.example", World.VISITS, "orchid probe", "x");
        await("it has come in", () -> evidence("orchid probe") == 1);
        assertThat(steps("probed")).hasSize(3);
        JsonNode cleaned = ok(
                send("POST", "/real-tests/cleaned", "[\"" + latest().get("id").stringValue() + "\"]"));
        assertThat(cleaned.get("removed").intValue()).isEqualTo(2);
        assertThat(cleaned.get("left").isEmpty()).isTrue();
        assertThat(subjects("Probed", "orchid probe")).isEmpty();
        assertThat(mail(World.SEEDS, "INBOX")).noneMatch(subject -> subject.contains("orchid probe"));
        assertThat(subjects("INBOX", "orchid probe")).hasSize(1);
    }

    @Test
    void whatRestsOnAnotherSenderOrOnItselfIsNotSentAndSaysSo() {
        rules(paused(
                "known",
                "{\"part\":\"sender\",\"how\":\"at domain\",\"values\":[\"school.example\"]}",
                "{'do':'mark','flags':['\\\\Flagged']}"));
        String picked = keep("known", "lena@school.example", "Our visit", true);
        String other = keep("known", "tom@press.example", "Our visit", false);
        assertThat(possible(FROM).get(0).at("/against/code").stringValue()).isEqualTo("REAL_TEST_RESTS_ON_SENDER");
        assertThat(possible(FROM).get(1).has("against")).isFalse();
        assertThat(sendTests(FROM, picked).statusCode()).isEqualTo(409);
        HttpResponse<String> toItself = sendTests("photos@ostrel-gardens.example", other);
        assertThat(toItself.statusCode()).isEqualTo(422);
        jdbc.sql("insert into stop (mailbox, since, who) select id, now(), 'Ilse' from mailbox where address = ?")
                .param(World.SEEDS)
                .update();
        assertThat(sendTests(World.SEEDS, other).statusCode()).isEqualTo(409);
        jdbc.sql("delete from stop").update();
        ok(sendTests(FROM, other));
        await("it has come in", () -> latest().get("cameIn").booleanValue());
        assertThat(told()).containsExactly("REAL_TEST_CAME_IN");
        assertThat(latest().get("unmet").isEmpty()).isTrue();
        String erased = latest().get("id").stringValue();
        ok(send("DELETE", "/trials/of-person?address=tom@press.example", ""));
        assertThat(browser.get("/api/mailboxes/" + mailbox + "/real-tests").toString())
                .doesNotContain(erased);
    }

    @Test
    void whoKnowsTheMessageIdOfATestCanHideNoMailBehindIt() {
        rules(paused("ferns", subject("fern probe"), "{'do':'mark','flags':['\\\\Flagged']}"));
        String trial = keep("ferns", "lena@school.example", "fern probe", true);
        ok(sendTests(FROM, trial));
        await("it is done", () -> told().contains("REAL_TEST_DONE"));
        String id = jdbc.sql("select message_id from real_test order by sent_at desc limit 1")
                .query(String.class)
                .single();
        byte[] bytes = ("From: mallory@press.example\r\nTo: " + World.VISITS + "\r\nMessage-ID: " + id
                        + "\r\nSubject: fern probe again\r\n\r\nx")
                .getBytes(StandardCharsets.US_ASCII);
        send("mallory@press.example", World.VISITS, bytes);
        send("mallory@press.example", World.SEEDS, bytes);
        await("both count as mail", () -> evidence("fern probe again") == 2);
        assertThat(steps("ferns")).hasSize(1);
    }
}
