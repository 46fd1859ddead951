package app.jubek.demo.postoffice;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Mail on command: {@code POST /write} writes as anybody; {@code GET /traffic} says what comes in by itself,
 * {@code PUT /traffic} with a pace changes it, and {@code POST /traffic} brings the next hours of the week.
 */
final class TrafficApi {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Traffic traffic;
    private final Writing writing;

    TrafficApi(Traffic traffic, Writing writing) {
        this.traffic = traffic;
        this.writing = writing;
    }

    record Written(String from, String to, String subject, String text) {}

    void write(HttpExchange exchange) throws IOException {
        writing.send(JSON.readValue(exchange.getRequestBody().readAllBytes(), Written.class));
    }

    Traffic.State handle(HttpExchange exchange) throws IOException {
        return switch (exchange.getRequestMethod()) {
            case "PUT" ->
                traffic.change(JSON.readValue(exchange.getRequestBody().readAllBytes(), Traffic.Pace.class));
            case "POST" -> traffic.nextHours();
            default -> traffic.state();
        };
    }
}
