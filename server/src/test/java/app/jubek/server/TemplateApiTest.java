package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.Reason;
import app.jubek.core.step.StepState;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Prepared answers, from writing one to the mail that goes out. */
class TemplateApiTest extends ServerTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String WRITTEN = """
            {"name":"Visits","language":"en-GB","subject":"About: {{subject}}",
            "text":"Dear {{sender.firstName}},%s","fallbacks":{"sender.firstName":"visitor"}}""";

    private Browser browser;

    @BeforeEach
    void signIn() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
    }

    private String at(String path) {
        return "/api/mailboxes/" + mailbox + path;
    }

    private HttpResponse<String> save(String id, int base, String more) {
        return browser.send(
                "PUT",
                at("/templates/" + id),
                "{\"baseVersion\":" + base + ",\"written\":" + WRITTEN.formatted(more) + "}",
                "application/json");
    }

    private JsonNode listed(String id) {
        for (JsonNode one : browser.get(at("/templates")).get("templates")) {
            if (one.get("id").stringValue().equals(id)) {
                return one;
            }
        }
        return JSON.missingNode();
    }

    @Test
    void everyVersionIsKeptAndTwoPeopleDoNotOverwriteEachOther() {
        assertThat(save("kept", 0, "one").statusCode()).isEqualTo(200);
        assertThat(save("kept", 1, "two").statusCode()).isEqualTo(200);
        assertThat(save("kept", 1, "three").body()).contains("it is at version 2");
        assertThat(browser.get(at("/templates/kept/versions"))).hasSize(2);
        assertThat(listed("kept").at("/written/text").stringValue()).endsWith("two");
    }

    @Test
    void whatIsNoFieldIsRefusedWithTheFieldsThereAre() {
        HttpResponse<String> answer = save("wrong", 0, "{{sender.nickname}}");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("there is no field {{sender.nickname}}", "sender.firstName");
        assertThat(listed("wrong").isMissingNode()).isTrue();
        assertThat(browser.send("PUT", at("/templates/wrong"), "{\"baseVersion\":0}", "application/json")
                        .body())
                .contains("does not fit at /written");
        assertThat(browser.send("PUT", at("/templates/wrong"), "{\"baseVersion\":0,\"written\":{}}", "application/json")
                        .body())
                .contains("a template needs a name");
    }

    @Test
    void itGoesOutFilledAndCanNotBeRemovedWhileARuleAnswersFromIt() {
        save("tour", 0, " come on Monday.");
        rules(rule("answers", "tour from a template", "stop here", step("{'do':'reply','template':'tour'}")));
        assertThat(listed("tour").at("/usedBy/0").stringValue()).isEqualTo("answers");
        assertThat(browser.send("DELETE", at("/templates/tour?baseVersion=1"), "", "application/json")
                        .body())
                .contains("It is used by answers");
        String asks = "From: Mara Lindqvist <mara@template.example>\r\nTo: " + World.VISITS
                + "\r\nSubject: tour from a template\r\n\r\nx\r\n";
        send("mara@template.example", World.VISITS, asks.getBytes(StandardCharsets.UTF_8));
        await(
                "the answer left",
                () -> steps("answers").stream().anyMatch(s -> s.state().isSettled()));
        assertThat(mail("mara@template.example", "INBOX"))
                .singleElement()
                .asString()
                .contains("Subject: About: tour from a template", "Dear Mara, come on Monday.");
    }

    @Test
    void anAnswerHeldForWantOfItsTemplateDoesNotCountAsGiven() {
        rules(rule("missing", "no template yet", "stop here", step("{'do':'reply','template':'yet'}")));
        write("liv@missing.example", World.VISITS, "no template yet", "one");
        await("it is held", () -> steps("missing").stream().anyMatch(s -> s.state() == StepState.HELD));
        assertThat(steps("missing").get(0).because()).contains(Reason.TEMPLATE_GONE.with());
        save("yet", 0, "here I am");
        write("liv@missing.example", World.VISITS, "no template yet", "two");
        await("the second is answered", () -> steps("missing").stream().anyMatch(s -> s.state() == StepState.SENT));
    }

    private String putDocument(String id, String name, String content) {
        return browser.send("PUT", at("/documents/" + id + "?fileName=" + name), content, "text/plain")
                .body();
    }

    @Test
    void aDocumentIsKeptOnceReplacedInItsPlaceAndGoesAlongAsItIsNow() {
        String id = "0b0e6c1e-5a54-4f0c-8f1a-3d9a5d1b6a01";
        assertThat(putDocument(id, "plan.txt", "the old plan")).contains("\"size\":12");
        String written = """
                {"name":"Plans","language":"en-GB","subject":"The plan","text":"Here it is.","documents":["%s"]}""";
        browser.send(
                "PUT",
                at("/templates/plans"),
                "{\"baseVersion\":0,\"written\":" + written.formatted(id) + "}",
                "application/json");
        putDocument(id, "plan.txt", "the new plan");
        rules(rule("plans", "the plan please", "stop here", step("{'do':'reply','template':'plans','timesADay':3}")));
        write("liv@plan.example", World.VISITS, "the plan please", "");
        await(
                "the answer left",
                () -> steps("plans").stream().anyMatch(s -> s.state().isSettled()));
        String encoded = java.util.Base64.getEncoder().encodeToString("the new plan".getBytes(StandardCharsets.UTF_8));
        assertThat(mail("liv@plan.example", "INBOX")).singleElement().asString().contains("plan.txt", encoded);
        assertThat(browser.send("DELETE", at("/documents/" + id), "", "application/json")
                        .body())
                .contains("It goes along with Plans");
        JsonNode sent = browser.get(at("/steps/" + steps("plans").get(0).id() + "/sent"));
        assertThat(sent.at("/attachments/0/name").stringValue()).isEqualTo("plan.txt");
        assertThat(sent.get("raw").stringValue()).contains("Auto-Submitted: auto-replied");
        assertThat(browser.get(at("/answers?sender=LIV@plan.example"))).hasSize(1);
    }

    /** RFC 2392: the rich form names the picture, and Records show it without loading anything. */
    @Test
    void theSignaturesPictureIsInTheAnswerAndInTheRecords() {
        String id = "0b0e6c1e-5a54-4f0c-8f1a-3d9a5d1b6a03";
        browser.send("PUT", at("/documents/" + id + "?fileName=leaf.png"), "not really a leaf", "image/png");
        String written = """
                {"name":"Signed","language":"en-GB","subject":"s","text":"Hello.","signature":"The desk","picture":"%s"}""";
        browser.send(
                "PUT",
                at("/templates/signed"),
                "{\"baseVersion\":0,\"written\":" + written.formatted(id) + "}",
                "application/json");
        rules(rule("signed", "sign this", "stop here", step("{'do':'reply','template':'signed'}")));
        write("liv@signed.example", World.VISITS, "sign this", "");
        await(
                "the answer left",
                () -> steps("signed").stream().anyMatch(s -> s.state().isSettled()));
        assertThat(mail("liv@signed.example", "INBOX"))
                .singleElement()
                .asString()
                .contains("multipart/related", "Content-ID: <signature-picture>", "src=\"cid:signature-picture\"");
        JsonNode sent = browser.get(at("/steps/" + steps("signed").get(0).id() + "/sent"));
        assertThat(sent.get("page").stringValue())
                .contains("src=\"data:image/png;base64,")
                .contains("The desk");
    }

    @Test
    void whatIsNoDocumentIsRefusedWithWhatIsWrong() {
        String id = "0b0e6c1e-5a54-4f0c-8f1a-3d9a5d1b6a02";
        assertThat(putDocument(id, "", "x")).contains("needs a file name");
        assertThat(putDocument(id, "a%2Fb", "x")).contains("no folders in it");
        assertThat(putDocument(id, "empty.txt", "")).contains("is empty");
        assertThat(browser.get(at("/documents")).toString()).doesNotContain(id);
    }

    @Test
    void aTestOfAnAliasArrivesWithoutAnyRuleActingOnIt() {
        rules(rule("all-tests", "does mail to", "stop here", step("{'do':'file','folder':'Wrong'}")));
        String asked = "{\"address\":\"photos@ostrel-gardens.example\"}";
        browser.send("POST", at("/alias-tests"), asked, "application/json");
        await(
                "the test arrived",
                () -> browser.get(at("/alias-tests")).at("/0/arrivedAt").isString());
        assertThat(steps("all-tests")).isEmpty();
        assertThat(browser.send("POST", at("/alias-tests"), "{\"address\":\"x@elsewhere.example\"}", "application/json")
                        .body())
                .contains("lies outside our own domains");
    }
}
