package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.security.crypto.password.PasswordEncoder;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ApiTest extends ServerTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String RULE = """
            {"id":"r","version":1,"name":"r","picksOut":{"part":"subject","how":"contains","values":["%s"]},"does":[%s],"ending":"continue","on":%s}""";
    private static final String FILE = "{\"do\":\"file\",\"folder\":\"Seeds\"}";

    @Autowired
    private PasswordEncoder encoder;

    private Browser ilse() {
        return new Browser(port).signedIn("ilse", "greenhouse");
    }

    private HttpResponse<String> save(Browser browser, int base, String rule) {
        String document = "{\"format\":\"jubek-rule-book\",\"formatVersion\":2,\"rules\":[" + rule + "]}";
        return browser.send(
                "PUT",
                "/api/mailboxes/" + mailbox + "/rule-book",
                "{\"baseVersion\":" + base + ",\"document\":" + document + "}",
                "application/json");
    }

    /** Every route of the description, with the mailbox filled in. */
    private List<String[]> routes() {
        List<String[]> routes = new ArrayList<>();
        JsonNode description = new Browser(port).get("/api/openapi");
        JsonNode paths = description.get("paths");
        Samples samples = new Samples(description);
        for (String path : paths.propertyNames()) {
            for (String method : paths.get(path).propertyNames()) {
                String filled = path.replace("{mailbox}", mailbox.toString())
                        .replace("{id}", "1")
                        .replace("{step}", UUID.randomUUID().toString())
                        .replace("{act}", "DISCARD")
                        .replaceAll("\\{[A-Za-z]+}", "x");
                String body = samples.body(paths.get(path).get(method)).toString();
                routes.add(new String[] {method.toUpperCase(), filled, path, body});
            }
        }
        return routes;
    }

    @Test
    void aStrangerMaySeeNothingAndAnotherPersonNotEvenThatItExists() {
        jdbc.sql(
                        "insert into account (id, sign_in, name, password_hash, created_at) values (?, 'noor', 'Noor', ?, now()) on conflict do nothing")
                .params(UUID.randomUUID(), encoder.encode("hornbeam"))
                .update();
        Browser noor = new Browser(port).signedIn("noor", "hornbeam");
        Browser stranger = new Browser(port);
        stranger.get("/api/session");
        List<String[]> guarded =
                routes().stream().filter(r -> r[2].contains("{mailbox}")).toList();
        assertThat(guarded).hasSizeGreaterThan(8);
        for (String[] route : guarded) {
            assertThat(stranger.send(route[0], route[1], route[3], "application/json")
                            .statusCode())
                    .as(route[0] + route[2])
                    .isEqualTo(401);
            assertThat(noor.send(route[0], route[1], route[3], "application/json")
                            .statusCode())
                    .as(route[0] + route[2])
                    .isEqualTo(404);
        }
    }

    @Test
    void theCommittedDescriptionIsTheRunningServers() throws IOException {
        JsonNode running = new Browser(port).get("/api/openapi");
        JsonNode committed = JSON.readTree(Files.readString(Path.of("../docs/api/openapi.json")));
        JsonNode paths = committed.get("paths").deepCopy();
        committed.get("paths").propertyNames().stream()
                .filter(p -> p.startsWith("/api/outside"))
                .forEach(((tools.jackson.databind.node.ObjectNode) paths)::remove);
        assertThat(running.get("paths")).isEqualTo(paths);
        for (String name : running.get("components").get("schemas").propertyNames()) {
            assertThat(committed.get("components").get("schemas").get(name))
                    .as(name)
                    .isEqualTo(running.get("components").get("schemas").get(name));
        }
    }

    @Test
    void aRequestWithoutTheTokenChangesNothing() {
        HttpResponse<String> answer = new Browser(port)
                .send("POST", "/api/sign-in", "username=ilse&password=greenhouse", "application/x-www-form-urlencoded");
        assertThat(answer.statusCode()).isEqualTo(403);
    }

    /** However the address is written that leads there. */
    @ParameterizedTest
    @ValueSource(strings = {"/api/sign-in", "/api/sign%2Din"})
    void wrongPasswordsMakeANameWaitAndTheAnswerSaysHowLong(String path) {
        jdbc.sql("delete from sign_in_attempt").update();
        Browser browser = new Browser(port);
        browser.get("/api/session");
        List<Integer> statuses = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            statuses.add(signIn(browser, path).statusCode());
        }
        HttpResponse<String> paused = signIn(browser, path);
        assertThat(statuses).startsWith(401, 401, 401, 401, 401).endsWith(429);
        assertThat(paused.headers().firstValue("Retry-After")).isPresent();
        assertThat(paused.body()).contains("Wait ").contains("\"status\":429");
    }

    private static HttpResponse<String> signIn(Browser browser, String path) {
        return browser.send(
                "POST", path, "username=guesser" + path.length() + "&password=x", "application/x-www-form-urlencoded");
    }

    @Test
    void thereIsNoSessionBeforeSigningInAndOneCanBeEndedFromAnother() {
        new Browser(port).get("/api/session");
        new Browser(port).send("GET", "/api/mailboxes/" + mailbox, "", "application/json");
        assertThat(jdbc.sql("select count(*) from spring_session where principal_name is null")
                        .query(Integer.class)
                        .single())
                .isZero();
        Browser here = ilse();
        Browser there = ilse();
        String other = there.get("/api/account")
                .get("signIns")
                .valueStream()
                .filter(one -> one.get("current").asBoolean())
                .findFirst()
                .orElseThrow()
                .get("key")
                .asString();
        assertThat(here.send("DELETE", "/api/account/sign-ins/" + other, "", "application/json")
                        .statusCode())
                .isEqualTo(204);
        assertThat(there.send("GET", "/api/account", "", "application/json").statusCode())
                .isEqualTo(401);
        assertThat(here.send("GET", "/api/account", "", "application/json").statusCode())
                .isEqualTo(200);
    }

    @Test
    void aPasswordIsChangedWithTheCurrentOneAndOtherSessionsEnd() {
        jdbc.sql(
                        "insert into account (id, sign_in, name, password_hash, created_at) values (?, 'bea', 'Bea', ?, now())")
                .params(UUID.randomUUID(), encoder.encode("first hornbeam"))
                .update();
        Browser here = new Browser(port).signedIn("bea", "first hornbeam");
        Browser there = new Browser(port).signedIn("bea", "first hornbeam");
        assertThat(change(here, "wrong", "second hornbeam")).isEqualTo(422);
        assertThat(change(here, "first hornbeam", "short")).isEqualTo(422);
        assertThat(change(here, "first hornbeam", "second hornbeam")).isEqualTo(204);
        assertThat(there.send("GET", "/api/account", "", "application/json").statusCode())
                .isEqualTo(401);
        new Browser(port).signedIn("bea", "second hornbeam");
    }

    private static int change(Browser browser, String current, String next) {
        String body = "{\"current\":\"" + current + "\",\"next\":\"" + next + "\"}";
        return browser.send("POST", "/api/account/password", body, "application/json")
                .statusCode();
    }

    /** Refused before any of our code sees it (RFC 9112 §3, RFC 9110 §15.5). */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "GET /api/session?x=[{} HTTP/1.1\r\nHost: a\r\n\r\n",
                "GET /api//x;y HTTP/1.1\r\nHost: a\r\n\r\n",
                "GET /api/%00 HTTP/1.1\r\nHost: a\r\n\r\n",
                "GET /api/mailboxes/%2e%2e%2fx HTTP/1.1\r\nHost: a\r\n\r\n",
                "POST /api/account/password HTTP/1.1\r\nHost: a\r\nContent-Length: 99999999\r\n\r\n",
                "TRACE /api/session HTTP/1.1\r\nHost: a\r\n\r\n",
                "GET /api/session HTTP/1.1\r\nHost: a b\r\n\r\n"
            })
    void whatIsRefusedBeforeTheDispatcherIsProblemDetailsToo(String request) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.setSoTimeout(5_000);
            socket.getOutputStream()
                    .write(request.replace("HTTP/1.1\r\n", "HTTP/1.1\r\nConnection: close\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            String answer = "";
            for (int next = 0;
                    next >= 0 && !answer.endsWith("}");
                    next = socket.getInputStream().read()) {
                answer += next == 0 ? "" : (char) next;
            }
            assertThat(answer)
                    .startsWith("HTTP/1.1 4")
                    .contains("application/problem+json")
                    .contains("\"detail\"");
        }
    }

    @Test
    void aBookChangedMeanwhileIsRefusedWithTheOtherVersionAndNothingIsLost() {
        Browser browser = ilse();
        int base = browser.get("/api/mailboxes/" + mailbox + "/rule-book")
                .get("version")
                .intValue();
        assertThat(save(browser, base, RULE.formatted("one", FILE, true)).statusCode())
                .isEqualTo(200);
        HttpResponse<String> refused = save(browser, base, RULE.formatted("two", FILE, true));
        assertThat(refused.statusCode()).isEqualTo(409);
        assertThat(JSON.readTree(refused.body()).get("document").toString()).contains("\"one\"");
        assertThat(browser.get("/api/mailboxes/" + mailbox + "/rule-book").toString())
                .contains("\"one\"")
                .doesNotContain("\"two\"");
    }

    @Test
    void aRulesVersionCountsItsChangesAndNotItsSwitch() {
        Browser browser = ilse();
        int base = browser.get("/api/mailboxes/" + mailbox + "/rule-book")
                .get("version")
                .intValue();
        JsonNode first = JSON.readTree(
                save(browser, base, RULE.formatted("alpha", FILE, true)).body());
        int version = first.at("/document/rules/0/version").intValue();
        JsonNode paused = JSON.readTree(
                save(browser, base + 1, RULE.formatted("alpha", FILE, false)).body());
        assertThat(paused.at("/document/rules/0/version").intValue()).isEqualTo(version);
        JsonNode changed = JSON.readTree(
                save(browser, base + 2, RULE.formatted("beta", FILE, false)).body());
        assertThat(changed.at("/document/rules/0/version").intValue()).isEqualTo(version + 1);
    }

    @Test
    void anEmptyRuleAndAPhraseThatFoldsToNothingAreRefusedWithTheReasonAndThePlace() {
        Browser browser = ilse();
        int base = browser.get("/api/mailboxes/" + mailbox + "/rule-book")
                .get("version")
                .intValue();
        HttpResponse<String> nothing = save(browser, base, RULE.formatted("x", "", true));
        assertThat(nothing.statusCode()).isEqualTo(422);
        assertThat(nothing.body()).contains("does nothing: add a step");
        HttpResponse<String> fold = save(browser, base, RULE.formatted("\\u00ad", FILE, true));
        assertThat(fold.statusCode()).isEqualTo(422);
        assertThat(JSON.readTree(fold.body()).at("/places/0/path").stringValue())
                .isEqualTo("/rules/0/picksOut/values/0");
    }

    /** Rather than be left undone in silence. */
    @Test
    void htmlIsShownWithoutScriptsFormsOrAnythingFromOutside() {
        String mail = "From: a@b.example\r\nTo: x@y.example\r\nSubject: html shown\r\nContent-Type: text/html\r\n\r\n"
                + "<p onclick=x()>seen</p><script>bad()</script><img src=http://track.example/a.png><form action=/x><a href=http://x.example>link</a>";
        send("a@b.example", World.VISITS, mail.getBytes(java.nio.charset.StandardCharsets.UTF_8));
        await(
                "it is stored",
                () -> jdbc.sql("select count(*) from message where subject = 'html shown'")
                                .query(Integer.class)
                                .single()
                        == 1);
        long id = jdbc.sql("select id from message where subject = 'html shown'")
                .query(Long.class)
                .single();
        HttpResponse<String> page =
                ilse().send("GET", "/api/mailboxes/" + mailbox + "/messages/" + id + "/html", "", "text/plain");
        assertThat(page.body()).contains("seen").doesNotContain("script", "onclick", "track.example", "<form", "href");
        assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
                .startsWith("sandbox; default-src 'none'");
    }
}
