package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What Incoming asks for, on mail that really came in. */
class IncomingApiTest extends ServerTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private Browser browser;

    @BeforeEach
    void someMail() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
        if (count("incoming.example") == 0) {
            write("a@incoming.example", World.VISITS, "Quince tour one", "x");
            write("b@incoming.example", World.VISITS, "Nothing", "we ask for a quince tour in May");
            write("c@incoming.example", World.VISITS, "Quince tour, invoice", "x");
            write("d@incoming.example", World.VISITS, "Term dates", "x");
            write("e@beside.example", World.VISITS, "quince tour", "x");
            await("all is stored", () -> count("incoming.example") == 4 && count("beside.example") == 1);
        }
    }

    private int count(String domain) {
        return jdbc.sql("select count(*) from message where senders[1] like ?")
                .param("%@" + domain)
                .query(Integer.class)
                .single();
    }

    private JsonNode post(String path, String body) {
        return JSON.readTree(browser.send("POST", "/api/mailboxes/" + mailbox + path, body, "application/json")
                .body());
    }

    private JsonNode messages(String words, String... criteria) {
        String asked = "{\"words\":\"" + words + "\",\"criteria\":[" + String.join(",", criteria)
                + "],\"days\":90,\"offset\":0,\"limit\":2}";
        return post("/messages/search", asked);
    }

    @Test
    void wordsTypedInIncomingAreLookedForInSubjectAndTextWhateverTheirLetterCase() {
        JsonNode found = messages("QUINCE tour");
        assertThat(found.get("found").intValue()).isEqualTo(4);
        assertThat(found.get("lines")).hasSize(2);
        assertThat(messages(" ").get("found").intValue())
                .isEqualTo(found.get("messages").intValue());
    }

    private int sought(String words, String by) {
        return post(
                        "/messages/search",
                        "{\"words\":\"" + words + "\",\"criteria\":[],\"days\":90,\"offset\":0,\"limit\":2," + by + "}")
                .get("found")
                .intValue();
    }

    @Test
    void messagesAreSoughtByWhatHappenedAndByTodaysRules() {
        rules(rule("sought", "sought now", "continue", step("{'do':'mark','flags':['\\\\Flagged']}")));
        write("h@incoming4.example", World.VISITS, "sought now", "hello");
        await("it is marked", () -> sought("sought now", "\"happened\":\"DONE\"") == 1);
        assertThat(sought("sought now", "\"rule\":\"sought\"")).isEqualTo(1);
        assertThat(sought("sought now", "\"happened\":\"NOTHING\"")).isZero();
        assertThat(sought("quince tour", "\"rule\":\"sought\"")).isZero();
        assertThat(sought("quince tour", "\"happened\":\"UNPICKED\"")).isEqualTo(4);
        assertThat(sought("quince tour", "\"happened\":\"WAITS\"")).isZero();
    }

    @Test
    void criteriaOtherThanWordsSeeAllPartsOfPastMail() {
        assertThat(messages("", "{\"part\":\"field\",\"field\":\"from\",\"how\":\"is present\"}")
                        .get("found")
                        .intValue())
                .isPositive();
        String toVisits = "{\"part\":\"to\",\"how\":\"is\",\"values\":[\"" + World.VISITS + "\"]}";
        assertThat(messages("quince tour", toVisits).get("found").intValue()).isEqualTo(4);
        assertThat(messages("quince tour", toVisits.replace("}", ",\"not\":true}"))
                        .get("found")
                        .intValue())
                .isZero();
    }
}
