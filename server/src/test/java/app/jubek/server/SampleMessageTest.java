package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A message written on the spot: decided as real mail would be, and shown as it would arrive. */
class SampleMessageTest extends ServerTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private String active = "'active':{'hours':'always'}";
    private Browser browser;

    @BeforeEach
    void signIn() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
        rules();
    }

    private JsonNode post(String path, String json) {
        String body = json.replace('\'', '"');
        return JSON.readTree(browser.send("POST", "/api/mailboxes/" + mailbox + path, body, "application/json")
                .body());
    }

    private JsonNode explained(String picksOut, String does, String more) {
        return post(
                "/explain",
                "{'rule':{'id':'draft','version':1,'name':'draft','picksOut':" + picksOut + ",'does':[" + does
                        + "],'ending':'continue','on':false," + active + "},'order':0,"
                        + "'sample':{'from':'Cleo Marsh <cleo@made.example>','to':'','subject':'Photo permit?',"
                        + "'text':'May we?'" + more + "}}");
    }

    private static final String WORDS =
            "{'part':'subject or text','how':'contains','values':['filming','permit','photo']}";
    private static final String REPLY = "{'do':'reply','subject':'Your permit','text':'Ten days ahead, please.'}";
    private static final String FORWARD = "{'do':'forward','to':['duty@ostrel-gardens.example'],'note':'For you.'}";

    @Test
    void theFinishedAnswerAndForwardAreShownAndThePhrasesThatHit() {
        JsonNode view = explained(WORDS, REPLY + "," + FORWARD, "");
        assertThat(view.at("/rules/0/hits").toString()).isEqualTo("[\"permit\",\"photo\"]");
        assertThat(view.get("leaving")).hasSize(2);
        JsonNode forward = view.at("/leaving/0");
        assertThat(forward.get("kind").stringValue()).isEqualTo("FORWARD");
        assertThat(forward.at("/shown/subject").stringValue()).isEqualTo("Fwd: Photo permit?");
        assertThat(forward.get("text").stringValue()).startsWith("For you.").contains("May we?");
        JsonNode answer = view.at("/leaving/1");
        assertThat(answer.get("to").stringValue()).isEqualTo("cleo@made.example");
        assertThat(answer.at("/shown/subject").stringValue()).isEqualTo("Your permit");
        assertThat(answer.get("text").stringValue()).startsWith("Ten days ahead");
    }

    @Test
    void whatWasSentAutomaticallyOrThroughAListGetsNoAnswer() {
        for (String sentBy : new String[] {"AUTOMATICALLY", "A_LIST", "MASS_MAIL"}) {
            JsonNode view = explained(WORDS, REPLY, ",'sentBy':'" + sentBy + "'");
            assertThat(view.at("/rules/0/picked").booleanValue()).as(sentBy).isTrue();
            assertThat(view.get("leaving")).as(sentBy).isEmpty();
            assertThat(view.get("notDone")).as(sentBy).hasSize(1);
        }
    }

    @Test
    void itCanHaveAnAttachmentAndComeInOnAnotherDay() {
        String attached = "{'part':'attachment name','how':'ends','values':['.pdf']}";
        assertThat(explained(attached, REPLY, ",'attachment':'plan für Mai.pdf'")
                        .at("/rules/0/hits")
                        .toString())
                .isEqualTo("[\".pdf\"]");
        active = "'active':{'hours':'always','first':'2030-12-01','last':'2030-12-07'}";
        JsonNode within = explained(WORDS, REPLY, ",'received':'2030-12-03T10:00:00Z'");
        assertThat(within.at("/rules/0/picked").booleanValue()).isTrue();
        assertThat(within.get("leaving")).as("it is not late on that day").hasSize(1);
        JsonNode after = explained(WORDS, REPLY, ",'received':'2030-12-09T10:00:00Z'");
        assertThat(after.at("/rules/0/outcome/code").stringValue()).isEqualTo("OUTCOME_RESTING");
    }

    @Test
    void whereNoPastMailIsPickedItIsSeenAsItsRecipientsWould() {
        JsonNode seen = post(
                "/as-received",
                "{'days':90,'step':" + FORWARD + ",'sample':{'from':'cleo@made.example','to':'',"
                        + "'subject':'Photo permit?','text':'May we?'}}");
        assertThat(seen.at("/forwarded/shown/subject").stringValue()).isEqualTo("Fwd: Photo permit?");
        assertThat(seen.at("/redirected/differences")).isEmpty();
    }

    @Test
    void theFoldersOfTheMailboxAreListedThatNoMessageIsKnownToLieIn() {
        lay("Years/2019", "laid by hand");
        JsonNode folders = browser.get("/api/mailboxes/" + mailbox + "/folders");
        assertThat(folders.toString()).contains("\"INBOX\"", "2019");
    }
}
