package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Requests of every path of the API's description, right ones and spoilt ones: nothing a client sends makes the server
 * fail, and each refusal is problem details (RFC 9457).
 */
class HostileRequestsTest extends ServerTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final int SPOILT = 12;
    private static final long SEED = 20261128L;

    private final Random random = new Random(SEED);
    private final List<String> faults = new ArrayList<>();
    private Samples samples = new Samples(NODES.objectNode());

    /** One of the requests stops the mail of every mailbox of the person. */
    @AfterEach
    void mailMayLeaveAgain() {
        jdbc.sql("delete from stop").update();
    }

    @Test
    void nothingAClientSendsMakesTheServerFailAndEveryRefusalIsProblemDetails() {
        mailbox = jdbc.sql("select id from mailbox where address = ?")
                .param(World.WALKS)
                .query(UUID.class)
                .single();
        jdbc.sql("delete from sign_in_attempt").update();
        Browser browser = new Browser(port).signedIn("ilse", "greenhouse");
        JsonNode description = browser.get("/api/openapi");
        samples = new Samples(description);
        JsonNode paths = description.get("paths");
        int requests = 0;
        for (String path : paths.propertyNames()) {
            for (String method : paths.get(path).propertyNames()) {
                requests += operation(
                        browser, method.toUpperCase(), path, paths.get(path).get(method));
            }
        }
        assertThat(requests).isGreaterThan(500);
        assertThat(faults).isEmpty();
    }

    private int operation(Browser browser, String method, String path, JsonNode operation) {
        String right = filled(path, operation, false);
        JsonNode content = operation.path("requestBody").path("content");
        String type = content.propertyNames().stream().findFirst().orElse("application/json");
        JsonNode sample = samples.body(operation);
        String body = type.equals("application/json") ? sample.toString() : "x";
        int sent = 0;
        sent += send(browser, method, right, body.getBytes(StandardCharsets.UTF_8), type);
        for (int i = 0; i < SPOILT / 3; i++) {
            sent += send(browser, method, filled(path, operation, true), body.getBytes(StandardCharsets.UTF_8), type);
        }
        if (content.isMissingNode()) {
            return sent;
        }
        for (int i = 0; i < SPOILT; i++) {
            byte[] spoilt = spoilt(sample).toString().getBytes(StandardCharsets.UTF_8);
            sent += send(browser, method, right, spoilt, type);
        }
        sent += send(browser, method, right, body.getBytes(StandardCharsets.UTF_16), type);
        sent += send(browser, method, right, new byte[] {(byte) 0xC3, '{', (byte) 0xFF, 0}, type);
        sent += send(browser, method, right, new byte[0], type);
        sent += send(browser, method, right, "[".repeat(5_000).getBytes(StandardCharsets.UTF_8), type);
        sent += send(
                browser,
                method,
                right,
                "--b\r\n\r\nx\r\n--b--".getBytes(StandardCharsets.UTF_8),
                "multipart/form-data; boundary=b");
        return sent + send(browser, method, right, body.getBytes(StandardCharsets.UTF_8), "no type at all");
    }

    private int send(Browser browser, String method, String path, byte[] body, String type) {
        HttpResponse<String> answer = browser.send(method, path, body, type);
        int status = answer.statusCode();
        String told =
                method + " " + path + " " + new String(body, 0, Math.min(body.length, 300), StandardCharsets.UTF_8);
        String kind = answer.headers().firstValue("Content-Type").orElse("");
        if (status >= 500) {
            faults.add(status + " " + told);
        } else if (status >= 400 && !kind.startsWith("application/problem+json")) {
            faults.add(status + " as " + kind + ": " + told);
        } else if (status >= 400
                && JSON.readTree(answer.body()).path("detail").asString("").isBlank()) {
            faults.add(status + " says nothing: " + told);
        }
        return 1;
    }

    private String filled(String path, JsonNode operation, boolean spoilt) {
        String filled = path.replace("{mailbox}", mailbox.toString());
        List<String> query = new ArrayList<>();
        for (JsonNode parameter : operation.path("parameters")) {
            String name = parameter.get("name").asString();
            String value = spoilt ? odd() : plain(parameter.get("schema"));
            if (parameter.get("in").asString().equals("path") && !name.equals("mailbox")) {
                filled = filled.replace("{" + name + "}", encoded(value));
            } else if (parameter.get("in").asString().equals("query")) {
                query.add(name + "=" + encoded(value));
            }
        }
        return query.isEmpty() ? filled : filled + "?" + String.join("&", query);
    }

    private String odd() {
        List<String> odd =
                List.of("", "x", "-1", "99999999999999999999", "a\u0000b", "é".repeat(300), "[null]", "../..", "null");
        return odd.get(random.nextInt(odd.size()));
    }

    private String plain(JsonNode schema) {
        JsonNode sample = samples.of(schema);
        return sample.isString() ? sample.stringValue() : sample.toString();
    }

    private static String encoded(String value) {
        return java.net.URLEncoder.encode(value, StandardCharsets.UTF_8).replace("+", "%20");
    }

    /** One member, anywhere in it, is missing, null, of another type, huge or odd. */
    private JsonNode spoilt(JsonNode sample) {
        JsonNode copy = sample.deepCopy();
        JsonNode at = copy;
        for (int depth = random.nextInt(4); depth > 0 && child(at) != null; depth--) {
            at = child(at);
        }
        if (at instanceof ObjectNode object && !object.isEmpty()) {
            List<String> names = List.copyOf(object.propertyNames());
            String name = names.get(random.nextInt(names.size()));
            if (random.nextInt(5) == 0) {
                object.remove(name);
            } else {
                object.set(name, oddNode());
            }
            return copy;
        }
        if (at instanceof ArrayNode array && !array.isEmpty()) {
            array.set(0, oddNode());
            return copy;
        }
        return oddNode();
    }

    private JsonNode child(JsonNode of) {
        List<JsonNode> below = new ArrayList<>();
        of.forEach(one -> {
            if (one.isContainer()) {
                below.add(one);
            }
        });
        return below.isEmpty() ? null : below.get(random.nextInt(below.size()));
    }

    private JsonNode oddNode() {
        return switch (random.nextInt(10)) {
            case 0, 1 -> NODES.nullNode();
            case 2 -> NODES.arrayNode().addNull();
            case 3 -> NODES.stringNode("a\u0000b");
            case 4 -> NODES.stringNode("www." + ".".repeat(90_000));
            case 5 -> NODES.numberNode(Long.MAX_VALUE);
            case 6 -> NODES.objectNode();
            case 7 -> NODES.booleanNode(false);
            case 8 -> NODES.stringNode("\uD83D\u202E" + odd());
            default -> NODES.numberNode(-1.5);
        };
    }
}
