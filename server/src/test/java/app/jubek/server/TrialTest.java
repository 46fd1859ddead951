package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.mailbox.Mailboxes;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Trials made of mail that really came in, and what they hold back. */
class TrialTest extends ServerTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String FROM_TRIALS =
            "{\"part\":\"sender\",\"how\":\"at domain\",\"values\":[\"trials.example\"]}";

    private Browser browser;

    @Autowired
    private Mailboxes mailboxes;

    @BeforeEach
    void someMail() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
        rules(picking("permit"));
        if (count() == 0) {
            write(
                    "Mara Lindqvist <mara@trials.example>",
                    World.VISITS,
                    "Photo permit, please",
                    "Call 070-1234567. Mara");
            write("jo@trials.example", World.VISITS, "Your filming rates", "x");
            write("jo@trials.example", World.VISITS, "Permit and invoice", "x");
            await("all is stored", () -> count() == 3);
        }
    }

    @AfterEach
    void nothingKept() {
        jdbc.sql("delete from trial").update();
        rules();
    }

    private int count() {
        return jdbc.sql("select count(*) from message where senders[1] like '%@trials.example'")
                .query(Integer.class)
                .single();
    }

    private long message(String subject) {
        return jdbc.sql("select id from message where subject = ?")
                .param(subject)
                .query(Long.class)
                .single();
    }

    /** A rule that is on, whose mail nothing in these tests sends. */
    private static String picking(String words) {
        return """
                {"id":"permits","version":1,"name":"Permits","picksOut":{"all":[%s,
                {"part":"subject","how":"contains","values":["%s"]}]},
                "leavesOut":{"any":[{"part":"subject","how":"contains","values":["invoice"]}]},
                "does":[{"do":"file","folder":"Tried"}],"ending":"stop here","on":true}""".formatted(FROM_TRIALS, words.replace(",", "\",\""));
    }

    private HttpResponse<String> send(String method, String path, String body) {
        return browser.send(method, "/api/mailboxes/" + mailbox + path, body, "application/json");
    }

    private JsonNode ok(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isLessThan(300);
        return JSON.readTree(answer.body().isEmpty() ? "null" : answer.body());
    }

    private JsonNode trials() {
        return browser.get("/api/mailboxes/" + mailbox + "/trials");
    }

    private String keep(String subject, boolean picked) {
        String body =
                "{\"order\":0,\"ruleId\":\"permits\",\"message\":" + message(subject) + ",\"picked\":" + picked + "}";
        return ok(send("POST", "/trials", body)).get("id").stringValue();
    }

    private HttpResponse<String> save(String rule, boolean despite) {
        String document = "{\"format\":\"jubek-rule-book\",\"formatVersion\":2,\"rules\":[" + rule + "]}";
        return send(
                "PUT",
                "/rule-book",
                "{\"baseVersion\":" + books.current(mailbox).version() + ",\"document\":"
                        + RuleBookJson.write(RuleBookJson.read(document)) + ",\"despiteTrials\":" + despite + "}");
    }

    @Test
    void aChangeThatMakesATrialDifferIsHeldBackUntilAPersonSaysThatItMay() {
        keep("Photo permit, please", true);
        keep("Your filming rates", false);
        assertThat(ok(send("GET", "/trials/counts", "")).toString()).isEqualTo("{\"kept\":2,\"differing\":0}");
        HttpResponse<String> refused = save(picking("permit,filming"), false);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(JSON.readTree(refused.body()).at("/trials/0/name").stringValue())
                .isEqualTo("Your filming rates");
        ok(save(picking("permit,filming"), true));
        JsonNode history = browser.get("/api/mailboxes/" + mailbox + "/rule-book/history");
        assertThat(history.at("/versions/0/notes/0/code").stringValue()).isEqualTo("TRIAL_SAVED_THOUGH_DIFFERS");
        assertThat(history.at("/versions/0/notes/0/arguments/0").stringValue()).isEqualTo("Your filming rates");
        JsonNode differing = trials().at("/rules/0/trials/1");
        assertThat(differing.get("holds").booleanValue()).isFalse();
        assertThat(differing.at("/happens/0/against").booleanValue()).isTrue();
        ok(save(picking("permit,filming").replace("\"on\":true", "\"on\":false"), false));
    }

    @Test
    void whyATrialDiffersIsWhatWasChangedSinceItHeldAndItMayBeSoFromNowOn() {
        String id = keep("Your filming rates", false);
        await(
                "it has held",
                () -> jdbc.sql("select count(*) from trial where held_with is not null")
                                .query(Integer.class)
                                .single()
                        == 1);
        ok(save(picking("permit,filming"), true));
        JsonNode details = ok(send("GET", "/trials/" + id, ""));
        assertThat(details.at("/changes/0/code").stringValue()).isEqualTo("READS_NOW");
        assertThat(details.get("changedBy").stringValue()).isEqualTo("Ilse Varga");
        assertThat(details.get("hits").toString()).contains("filming");
        ok(send("POST", "/trials/" + id + "/accepted", ""));
        assertThat(ok(send("GET", "/trials/counts", "")).get("differing").intValue())
                .isZero();
    }

    @Test
    void theMissingTrialsAreProposedFromRealMailAndMadeUpAndShowEverythingOnceKept() {
        JsonNode cases = ok(send("GET", "/trials/missing?rule=permits", ""));
        assertThat(cases.valueStream().map(one -> one.at("/what/code").stringValue()))
                .containsExactly("CASE_PICKED", "CASE_NEARLY", "CASE_NEARLY", "CASE_EXCEPTION");
        assertThat(cases.at("/0/proposal/subject").stringValue()).isEqualTo("Photo permit, please");
        assertThat(cases.at("/3/proposal/subject").stringValue()).isEqualTo("Permit and invoice");
        String keys = String.join(
                ",", cases.valueStream().map(one -> one.get("key").toString()).toList());
        JsonNode kept =
                ok(send("POST", "/trials/missing", "{\"rule\":\"permits\",\"days\":90,\"cases\":[" + keys + "]}"));
        assertThat(kept.get("kept").intValue()).isEqualTo(4);
        JsonNode after = trials();
        assertThat(after.get("differing").intValue()).isZero();
        assertThat(after.at("/rules/0/cases").valueStream())
                .noneMatch(one -> one.get("shownBy").isNull());
    }

    @Test
    void aCopyIsKeptThatCanBeBlankedAndIsListedAndErasedWithThePerson() {
        String id = keep("Photo permit, please", true);
        JsonNode blanked = ok(send("POST", "/trials/" + id + "/blanked", ""));
        assertThat(blanked.get("from").stringValue()).isEqualTo("Person 1 <person1@trials.example>");
        assertThat(blanked.get("text").stringValue().strip()).isEqualTo("Call 000-0000000. …");
        assertThat(ok(send("GET", "/trials/of-person?address=mara@trials.example", "")))
                .hasSize(1);
        String change = "{\"name\":\"Permit\",\"at\":\"2026-11-03T10:12:00Z\",\"expected\":[{\"fate\":\"PICKED_BY\","
                + "\"of\":\"permits\",\"must\":true}],\"text\":" + blanked + "}";
        ok(send("PUT", "/trials/" + id, change));
        assertThat(ok(send("GET", "/trials/of-person?address=mara@trials.example", "")))
                .isEmpty();
        assertThat(ok(send("GET", "/trials/" + id, "")).at("/line/holds").booleanValue())
                .isTrue();
        ok(send("DELETE", "/trials/of-person?address=person1@trials.example", ""));
        assertThat(trials().get("kept").intValue()).isZero();
        assertThat(jdbc.sql("select count(*) from trial_content")
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void trialsGoOutAndInAsFilesAndWhatCannotBeTakenIsNamed() throws IOException {
        ByteArrayOutputStream archive = new ByteArrayOutputStream();
        String trial = "{\"trial\":1,\"name\":\"Permit\",\"at\":\"2026-11-03T10:12:00Z\",\"expect\":"
                + "[{\"what\":\"picked by\",\"of\":\"permits\",\"must\":true}]}";
        try (ZipOutputStream zip = new ZipOutputStream(archive)) {
            entry(zip, "a.eml", "From: mara@trials.example\r\nSubject: A permit\r\n\r\nx\r\n");
            entry(zip, "a.trial.json", trial);
            entry(zip, "b.trial.json", trial);
            entry(zip, "c.eml", "Subject: x\r\n\r\n");
            entry(zip, "c.trial.json", "{}");
        }
        JsonNode taken = ok(browser.send(
                "POST", "/api/mailboxes/" + mailbox + "/trials/files", archive.toByteArray(), "application/zip"));
        assertThat(taken.get("taken").intValue()).isEqualTo(1);
        assertThat(taken.get("notTaken").valueStream().map(JsonNode::stringValue))
                .anyMatch(why -> why.startsWith("b.trial.json: there is no b.eml"))
                .anyMatch(why -> why.startsWith("c.trial.json: /trial: must be 1"));
        assertThat(trials().at("/rules/0/trials/0/holds").booleanValue()).isTrue();
        assertThat(send("GET", "/trials/files", "").body()).startsWith("PK").contains("0001.trial.json");
        assertThat(send("POST", "/trials/files", "no archive").statusCode()).isEqualTo(422);
    }

    private static void entry(ZipOutputStream zip, String name, String content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(content.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void trialsAreRunAnewWhenPeopleOrTemplatesChange() {
        keep("Photo permit, please", true);
        String before = trials().get("ranAt").stringValue();
        assertThat(trials().get("ranAt").stringValue()).as("nothing changed").isEqualTo(before);
        mailboxes.evidenceChanged(mailbox);
        assertThat(trials().get("ranAt").stringValue()).isNotEqualTo(before);
    }
}
