package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.Reason;
import app.jubek.formats.rulebook.RuleBookJson;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Loops are shown and refused before a rule is switched on, and end where they are real. */
class LoopTest extends ServerTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String BOTH =
            step("{'do':'forward','to':['rota@valley-buses.example','desk@parish-paper.example']}");

    private Browser browser;

    @BeforeEach
    void signIn() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
        rules();
    }

    @AfterEach
    void nothingIsLeftOver() {
        rules();
        rulesOf(other(World.WALKS));
        rulesOf(other(World.SEEDS));
    }

    private UUID other(String address) {
        return jdbc.sql("select id from mailbox where address = ?")
                .param(address)
                .query(UUID.class)
                .single();
    }

    private static String document(String... rules) {
        return "{\"format\":\"jubek-rule-book\",\"formatVersion\":2,\"rules\":[" + String.join(",", rules) + "]}";
    }

    private void rulesOf(UUID box, String... rules) {
        books.save(box, books.current(box).version(), RuleBookJson.read(document(rules)), "test");
    }

    private HttpResponse<String> save(String document) {
        String body = "{\"baseVersion\":" + books.current(mailbox).version() + ",\"document\":" + document + "}";
        return browser.send("PUT", "/api/mailboxes/" + mailbox + "/rule-book", body, "application/json");
    }

    private JsonNode loops(String body) {
        return JSON.readTree(browser.send("POST", "/api/mailboxes/" + mailbox + "/loops", body, "application/json")
                .body());
    }

    @Test
    void aRuleWhoseExchangeDoesNotEndIsNotSwitchedOnBeforeTheWayOutIsTaken() {
        String endless = document(rule("both", "coach rota", "continue", BOTH));
        HttpResponse<String> refused = save(endless);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(JSON.readTree(refused.body()).get("loop").stringValue()).isEqualTo("both");
        assertThat(save(endless.replace("\"on\":true", "\"on\":false")).statusCode())
                .as("paused")
                .isEqualTo(200);

        JsonNode tried = loops("{\"document\":" + endless + "}").at("/rules/0");
        assertThat(tried.get("how").stringValue()).isEqualTo("ENDLESS");
        assertThat(tried.get("among").stringValue()).isEqualTo("ANSWERS_EVERYTHING");
        assertThat(tried.at("/messages/1/rule").stringValue()).isEqualTo("both");
        assertThat(tried.at("/finding/cause/code").stringValue()).isEqualTo("HANDED_ON_FOR_EVER");

        assertThat(save(tried.at("/finding/document").toString()).statusCode()).isEqualTo(200);
        assertThat(loops("{}").at("/rules/0/how").stringValue()).isEqualTo("QUIET");
    }

    @Test
    void ofMailboxesThatAreNotOnesOwnNothingIsShownButThatMailPassesThem() {
        UUID walks = other(World.WALKS);
        UUID seeds = other(World.SEEDS);
        rules(rule("there", "round trip", "continue", step("{'do':'redirect','to':['" + World.WALKS + "']}")));
        rulesOf(walks, rule("secret", "round trip", "continue", step("{'do':'forward','to':['" + World.SEEDS + "']}")));
        rulesOf(seeds, rule("back", "round trip", "continue", step("{'do':'redirect','to':['" + World.VISITS + "']}")));
        UUID account = jdbc.sql("select account_id from mailbox_right where mailbox_id = ?")
                .param(walks)
                .query(UUID.class)
                .single();
        jdbc.sql("delete from mailbox_right where mailbox_id in (?, ?)")
                .param(walks)
                .param(seeds)
                .update();
        try {
            JsonNode shown = loops("{}");
            JsonNode tried = shown.at("/rules/0");
            assertThat(tried.get("how").stringValue()).isEqualTo("WENT_ROUND");
            assertThat(tried.get("messages")).hasSize(4);
            assertThat(tried.at("/messages/2").propertyNames())
                    .as("from a mailbox that our rule names, to one that it does not")
                    .containsExactlyInAnyOrder("from", "kind");
            assertThat(shown.toString()).doesNotContain("secret", World.SEEDS, "\"back\"");
        } finally {
            for (UUID taken : List.of(walks, seeds)) {
                jdbc.sql("insert into mailbox_right (account_id, mailbox_id) values (?, ?)")
                        .param(account)
                        .param(taken)
                        .update();
            }
        }
        assertThat(loops("{}").at("/rules/0/messages/2/rule").stringValue()).isEqualTo("secret");
    }

    @Test
    void whoeverAnswersARealReplyTheExchangeEnds() {
        rules(rule(
                "map",
                "palm map",
                "continue",
                step("{'do':'reply','subject':'Your palm map','text':'Here.','timesADay':3}")));
        for (String answering : List.of("person.mara", "away.mara", "answers.mara")) {
            write(answering + "@pocket-guide.example", World.VISITS, "palm map", "May we have one?");
        }
        await(
                "the last answer was kept back",
                () -> steps("map").stream()
                        .anyMatch(step -> step.because()
                                .filter(why -> why.code().equals(Reason.ANSWERED_BEFORE.id()))
                                .isPresent()));
        await(
                "all is done",
                () -> steps("map").stream().allMatch(step -> step.state().isSettled()));
        assertThat(mail("answers.mara@pocket-guide.example", "INBOX")).hasSize(3);
        assertThat(mail("away.mara@pocket-guide.example", "INBOX")).hasSize(1);
        assertThat(mail("person.mara@pocket-guide.example", "INBOX")).hasSize(1);
    }
}
