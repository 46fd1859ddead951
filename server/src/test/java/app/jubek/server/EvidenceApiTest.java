package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the workbench, Incoming and Records ask for, on mail that really came in. */
class EvidenceApiTest extends ServerTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String ASKED = """
            {"rule":{"id":"draft","version":1,"name":"draft","picksOut":{"all":[
            {"part":"sender","how":"at domain or below","values":["evidence.example"]},
            {"part":"subject or text","how":"contains","values":["%s","guided visits"]}]},
            "leavesOut":{"any":[{"part":"subject","how":"contains","values":["invoice"]}]},
            "does":[],"ending":"continue","on":false},"order":0,"days":90,"counter":"%s","offset":0,"limit":10}""";

    private static final String FROM_EVIDENCE =
            "{\"part\":\"sender\",\"how\":\"at domain\",\"values\":[\"evidence.example\"]}";

    private Browser browser;

    @BeforeEach
    void someMail() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
        if (count("evidence.example") == 0) {
            write("a@evidence.example", World.VISITS, "Guided visit one", "x");
            write("b@evidence.example", World.VISITS, "Nothing", "we ask for a guided visit in May");
            write("c@evidence.example", World.VISITS, "Guided visit, invoice", "x");
            write("d@evidence.example", World.VISITS, "Term dates", "x");
            write("e@beside-evidence.example", World.VISITS, "guided visit", "x");
            await("all is stored", () -> count("evidence.example") == 4 && count("beside-evidence.example") == 1);
        }
    }

    private int count(String domain) {
        return jdbc.sql("select count(*) from message where senders[1] like ?")
                .param("%@" + domain)
                .query(Integer.class)
                .single();
    }

    private JsonNode evidence(String phrase, String counter) {
        return post("/evidence", ASKED.formatted(phrase, counter));
    }

    private JsonNode post(String path, String body) {
        return JSON.readTree(browser.send("POST", "/api/mailboxes/" + mailbox + path, body, "application/json")
                .body());
    }

    @Test
    void aPageOfMessagesBeginsWhereTheOneBeforeEndedAndUnfinishedActionsAreNamed() {
        rules();
        String whole = ASKED.formatted("guided visit", "PICKED")
                .replace("\"does\":[]", "\"does\":[{\"do\":\"redirect\",\"to\":[]}]");
        JsonNode all = post("/evidence", whole);
        JsonNode second = post("/evidence", whole.replace("\"offset\":0,\"limit\":10", "\"offset\":1,\"limit\":1"));
        assertThat(all.get("rows")).hasSize(2);
        assertThat(second.get("rows")).containsExactly(all.get("rows").get(1));
        assertThat(second.get("rowsInAll").intValue()).isEqualTo(2);
        assertThat(all.get("cautions")).isEmpty();
        assertThat(all.at("/unfinished/0/path").stringValue()).isEqualTo("/does/0");
        assertThat(all.get("presetEnding").stringValue()).isEqualTo("continue");
    }

    @Test
    void whatStillStandsInATextOfTheRuleIsSaidBeforeItIsSaved() {
        rules();
        String reply = "\"does\":[{\"do\":\"reply\",\"text\":\"Dear {{sender.firstName}}, come on [day].\"}]";
        JsonNode found =
                post("/evidence", ASKED.formatted("guided visit", "PICKED").replace("\"does\":[]", reply));
        assertThat(found.get("warnings")
                        .valueStream()
                        .map(one -> one.get("code").stringValue()))
                .containsExactly("TEMPLATE_OWN_FIELD_MAY_BE_EMPTY", "TEMPLATE_SAMPLE_TEXT");
        assertThat(found.get("answered").intValue()).isEqualTo(2);
    }

    @Test
    void aDraftIsMeasuredOnPastMailWithEveryCriterionAndValueByItself() {
        rules();
        JsonNode found = evidence("guided visit", "PICKED");
        assertThat(found.get("counts").toString())
                .isEqualTo(
                        "{\"picked\":2,\"leftOut\":1,\"stoppedEarlier\":0,\"laterRulesAct\":0,\"nearMiss\":2,\"outsideItsHours\":0}");
        assertThat(found.at("/picksOut/0/matches").intValue()).isEqualTo(4);
        assertThat(found.at("/picksOut/0/effect").intValue()).as("removes").isEqualTo(1);
        assertThat(found.at("/picksOut/1/values/1/coveredBy").intValue()).isZero();
        assertThat(found.at("/leavesOut/0/effect").intValue()).as("excludes").isEqualTo(1);
        assertThat(found.at("/readBack/code").stringValue()).isEqualTo("RULE_WITH_EXCEPTIONS");
    }

    @Test
    void theMatchedWordsAreMarkedInTheSubjectOrInAPieceOfTheText() {
        JsonNode rows = evidence("guided visit", "PICKED").get("rows");
        JsonNode newest = rows.get(0);
        String piece = newest.at("/snippet/text").stringValue();
        JsonNode mark = newest.at("/snippet/marks/0");
        assertThat(piece.substring(mark.get("start").intValue(), mark.get("end").intValue()))
                .isEqualTo("guided visit");
        assertThat(rows.get(1).at("/subject/marks/0").toString()).isEqualTo("{\"start\":0,\"end\":12}");
    }

    @Test
    void eachCounterListsItsOwnMail() {
        assertThat(evidence("guided visit", "LEFT_OUT")
                        .at("/rows/0/subject/text")
                        .stringValue())
                .isEqualTo("Guided visit, invoice");
        assertThat(evidence("guided visit", "NEAR_MISS").get("rowsInAll").intValue())
                .isEqualTo(2);
        assertThat(evidence("no such words", "PICKED").get("rows")).isEmpty();
    }

    @Test
    void aValueThatCanNotBeIsRefusedAtItsPlaceWhileItIsTyped() {
        JsonNode refused = evidence("\\u00ad", "PICKED");
        assertThat(refused.at("/places/0/path").stringValue()).isEqualTo("/picksOut/all/1/values/0");
        assertThat(refused.get("detail").stringValue()).contains("nothing in it to look for");
    }

    @Test
    void earlierAndLaterRulesOfTheBookCount() {
        rules(rule("earlier", "Guided visit one", "stop here", step("{'do':'file','folder':'X'}")));
        String atTheEnd = ASKED.formatted("guided visit", "STOPPED_EARLIER").replace("\"order\":0", "\"order\":9");
        JsonNode after = post("/evidence", atTheEnd);
        assertThat(after.at("/counts/stoppedEarlier").intValue()).isEqualTo(1);
        assertThat(after.at("/rows/0/fate/0/done/code").stringValue()).isEqualTo("FILED_IN");
        assertThat(evidence("guided visit", "PICKED")
                        .at("/counts/laterRulesAct")
                        .intValue())
                .isEqualTo(1);
        JsonNode figures = browser.get("/api/mailboxes/" + mailbox + "/rule-book/figures");
        assertThat(figures.at("/rules/0/picked").intValue()).isEqualTo(1);
        assertThat(figures.get("messages").intValue() - figures.get("inInbox").intValue())
                .isEqualTo(1);
    }

    private JsonNode messages(String words, String... criteria) {
        String asked = "{\"words\":\"" + words + "\",\"criteria\":[" + String.join(",", criteria)
                + "],\"days\":90,\"offset\":0,\"limit\":2}";
        return post("/messages/search", asked);
    }

    @Test
    void aRuleIsStartedFromMessagesAndARuleThatNearlyTakesOneIsOffered() {
        JsonNode lines = messages("guided visit", FROM_EVIDENCE).get("lines");
        long one = lines.get(0).at("/message/id").longValue();
        long two = lines.get(1).at("/message/id").longValue();
        JsonNode suggestions =
                post("/suggestions", "{\"wanted\":[" + one + "," + two + "],\"unwanted\":[],\"days\":90}");
        assertThat(suggestions.at("/suggestions/0/takes").intValue()).isEqualTo(2);
        assertThat(suggestions.at("/suggestions/0/clause/words").stringValue()).isNotBlank();
        rules(rule("elsewhere", "no such phrase", "continue", step("{'do':'file','folder':'X'}")));
        JsonNode start = browser.get("/api/mailboxes/" + mailbox + "/messages/" + one + "/start");
        assertThat(start.get("kept").size() + start.get("also").size()).isGreaterThan(1);
        assertThat(start.get("additions")).isEmpty();
        assertThat(post("/suggestions", "{\"wanted\":[-1],\"unwanted\":[],\"days\":90}")
                        .get("detail")
                        .stringValue())
                .contains("at least one message");
    }

    @Test
    void aSampleMessageIsDecidedWithTheDraftAmongTheRules() {
        JsonNode draft =
                JSON.readTree(ASKED.formatted("guided visit", "PICKED")).get("rule");
        JsonNode explained = post(
                "/explain",
                "{\"rule\":" + draft + ",\"order\":0,\"sample\":{\"from\":\"a@evidence.example\",\"to\":\"\","
                        + "\"subject\":\"A guided visit\\r\\nBcc: x@y.example\",\"text\":\"x\"}}");
        assertThat(explained.at("/rules/0/picked").booleanValue()).isTrue();
        assertThat(explained.get("staysInInbox").booleanValue()).isTrue();
    }

    @Test
    void aPastMessageIsExplainedByTheRulesAsTheyAre() {
        rules(rule("today", "Guided visit one", "stop here", step("{'do':'file','folder':'X'}")));
        long id = messages("guided visit one").at("/lines/0/message/id").longValue();
        JsonNode explained = post("/explain", "{\"order\":0,\"message\":" + id + "}");
        assertThat(explained.at("/rules/0/picked").booleanValue()).isTrue();
        assertThat(explained.at("/done/0/code").stringValue()).isEqualTo("FILED_IN");
        assertThat(explained.get("staysInInbox").booleanValue()).isFalse();
    }

    @Test
    void draftsAreKeptForThePersonWhoMakesThem() {
        String path = "/api/mailboxes/" + mailbox + "/drafts/draft-1";
        browser.send("PUT", path, "{\"document\":{\"name\":\"half\"}}", "application/json");
        String drafts = "/api/mailboxes/" + mailbox + "/drafts";
        assertThat(browser.get(drafts).at("/drafts/0/document/name").stringValue())
                .isEqualTo("half");
        browser.send("DELETE", path, "", "application/json");
        assertThat(browser.get(drafts).get("drafts")).isEmpty();
    }

    @Test
    void pastMailIsLoadedOnceAndSaysHowMuchThereIs() {
        JsonNode[] past = new JsonNode[1];
        await("it is loaded", () -> {
            past[0] = browser.get("/api/mailboxes/" + mailbox + "/past-mail");
            return past[0].get("ready").booleanValue();
        });
        assertThat(past[0].get("messages").intValue()).isPositive();
        assertThat(past[0].get("done").intValue())
                .isLessThanOrEqualTo(past[0].get("messages").intValue());
        assertThat(past[0].get("cut").booleanValue()).isFalse();
    }

    @Test
    void theDeskKeepsItsWeekAndSaysWhatIsNewAndARuleSaysHowOftenItActed() {
        rules(rule("counted", "counted now", "continue", step("{'do':'mark','flags':['\\\\Flagged']}")));
        write("g@evidence3.example", World.VISITS, "counted now", "hello");
        await(
                "it is done",
                () -> steps("counted").stream().anyMatch(s -> s.state().isSettled()));
        String desk = "/api/mailboxes/" + mailbox + "/desk";
        assertThat(browser.get(desk).at("/done/0/messages").intValue()).isPositive();
        assertThat(browser.get(desk).get("came").intValue()).isPositive();
        JsonNode days = browser.get(desk).get("days");
        assertThat(days).hasSize(7);
        assertThat(days.valueStream()
                        .mapToInt(day -> day.get("came").intValue())
                        .sum())
                .as("the days add up to the week")
                .isEqualTo(browser.get(desk).get("came").intValue());
        assertThat(days.get(6).get("inInbox").intValue())
                .as("what is only marked is still there")
                .isPositive();
        browser.send("PUT", desk + "/visit", "", "application/json");
        assertThat(browser.get(desk).at("/lastVisit/came").intValue()).isZero();
        assertThat(browser.get(desk).get("came").intValue()).isPositive();
        assertThat(browser.get(desk).get("done")).isNotEmpty();
        assertThat(browser.get("/api/mailboxes/" + mailbox + "/uses").toString())
                .contains("\"messages\":1")
                .contains("\"rule\":\"counted\"");
    }

    @Test
    void kindsAndFindingsAreTold() {
        rules(rule("silent", "no such phrase", "continue", step("{'do':'file','folder':'X'}")));
        assertThat(browser.get("/api/mailboxes/" + mailbox + "/recurring-mail")
                        .get("messages")
                        .intValue())
                .isPositive();
        assertThat(browser.get("/api/mailboxes/" + mailbox + "/review")
                        .get("findings")
                        .isArray())
                .isTrue();
    }

    @Test
    void aMessageOpensWithItsDecisionRuleByRule() {
        rules(rule("opened", "opened now", "continue", step("{'do':'mark','flags':['\\\\Flagged']}")));
        write("f@evidence2.example", World.VISITS, "opened now", "hello");
        await(
                "it is done",
                () -> steps("opened").stream().anyMatch(s -> s.state().isSettled()));
        long id = steps("opened").get(0).message();
        JsonNode message = browser.get("/api/mailboxes/" + mailbox + "/messages/" + id);
        assertThat(message.at("/decision/rules/0/outcome/code").stringValue())
                .isEqualTo("OUTCOME_PICKED_AND_CONTINUES");
        assertThat(message.at("/steps/0/done/code").stringValue()).isEqualTo("FLAGGED");
        assertThat(message.at("/sentBy/0/code").stringValue()).isEqualTo("NOT_AUTOMATIC");
        assertThat(message.at("/texts/0").stringValue()).startsWith("hello");
        JsonNode records = browser.get("/api/mailboxes/" + mailbox + "/records?states=SENT,HELD&limit=500")
                .get("records");
        assertThat(records.toString()).contains("\"opened now\"");
    }

    private JsonNode asked(String path, String json) {
        return post(path, json.replace('\'', '"'));
    }

    @Test
    void aMessageIsSeenForwardedAndRedirectedBeforehandWithWhatDiffers() {
        rules();
        long id = evidence("guided visit", "PICKED").at("/rows/0/id").longValue();
        JsonNode seen = asked(
                "/as-received",
                "{'message':" + id + ",'days':90,'step':{'do':'forward','to':['duty@ostrel-gardens.example'],"
                        + "'prefix':'For you:','note':'please see','answersGo':'to sender'}}");
        assertThat(seen.at("/forwarded/shown/subject").stringValue()).startsWith("For you: ");
        assertThat(seen.at("/forwarded/text").stringValue()).startsWith("please see");
        assertThat(seen.at("/forwarded/shown/answers").stringValue())
                .isEqualTo(seen.at("/original/shown/answers").stringValue());
        assertThat(seen.at("/forwarded/differences/0/what").stringValue()).isEqualTo("SENDER");
        assertThat(seen.at("/redirected/differences")).isEmpty();
    }

    @Test
    void whatIsPickedIsCountedByWhatOurServerSaidOfIt() {
        String mail = "Authentication-Results: mx.ostrel-gardens.example; dkim=%s header.d=signed.example\r\n"
                + "From: h@signed.example\r\nTo: " + World.VISITS + "\r\nSubject: signed or not\r\n\r\n%s\r\n";
        rules();
        List<String> results = List.of("pass", "pass", "none");
        for (int i = 0; i < results.size(); i++) {
            send(
                    "h@signed.example",
                    World.VISITS,
                    mail.formatted(results.get(i), i).getBytes(StandardCharsets.UTF_8));
        }
        String question =
                "{'rule':" + rule("new", "signed or not", "continue", step("{'do':'keep'}")) + ",'order':0,'days':90}";
        await(
                "all three came in",
                () -> asked("/will-it-arrive", question).get("signed").intValue() == 2
                        && asked("/will-it-arrive", question).get("unsigned").intValue() == 1);
        assertThat(asked("/will-it-arrive", question).at("/advice/code").stringValue())
                .isEqualTo("ARRIVAL_SOME_AT_RISK");
    }

    @Test
    void aTemplateIsSeenOnASampleMessageInBothForms() {
        JsonNode seen = asked(
                "/template-preview",
                "{'written':{'name':'x','language':'en-GB','subject':'','text':'Dear {{sender.firstName}}',"
                        + "'rich':'<p>Dear <b>{{sender.firstName}}</b></p><script>1</script>'},'days':90,"
                        + "'sample':{'from':'Liv Strand <liv@made.example>','subject':'Hello <you>'}}");
        assertThat(seen.get("to").stringValue()).isEqualTo("liv@made.example");
        assertThat(seen.get("subject").stringValue()).isEqualTo("Auto: Hello <you>");
        assertThat(seen.get("html").stringValue()).contains("Dear <b>Liv</b>").doesNotContain("<script>");
        assertThat(seen.get("faults").toString()).contains("EMPTY_SUBJECT", "MISSING_FALLBACK");
        assertThat(asked("/template-preview", "{'written':{'name':'x','text':'y'},'days':90}")
                        .toString())
                .contains("Say for which message");
    }

    @Test
    void whatIsDoneCanNotBeApprovedAgain() {
        rules(rule("settled", "settled", "continue", step("{'do':'mark','flags':['\\\\Seen']}")));
        write("g@evidence3.example", World.VISITS, "settled", "x");
        await(
                "it is done",
                () -> steps("settled").stream().anyMatch(s -> s.state().isSettled()));
        String path = "/api/mailboxes/" + mailbox + "/steps/"
                + steps("settled").get(0).id() + "/SEND_NOW";
        HttpResponse<String> refused = browser.send("POST", path, "", "application/json");
        assertThat(refused.statusCode()).isEqualTo(409);
        assertThat(refused.body()).contains("The step is sent by now");
    }
}
