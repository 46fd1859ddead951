package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

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
                .contains("a template needs a name");
    }

    @Test
    void itGoesOutFilledAndCanNotBeRemovedWhileARuleAnswersFromIt() {
        save("tour", 0, " come on Monday.");
        rules(rule("answers", "tour from a template", "ends here", step("{'do':'reply','template':'tour'}")));
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
}
