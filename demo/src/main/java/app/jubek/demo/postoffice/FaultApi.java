package app.jubek.demo.postoffice;

import app.jubek.demo.faults.Certificates;
import app.jubek.demo.faults.FaultBench;
import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Commands to the fault bench: {@code {"call": trouble, "times": n}}, {@code {"refuse": recipient, "code": n, "times":
 * n}}, {@code {"renumber": folder, "of": address}}, {@code {"release": true}}, {@code {"breakOff": true}} or
 * {@code {"clear": true}}. The answer says how many
 * conversations stand still; without a command also where the store of trusted certificates is.
 */
final class FaultApi {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final FaultBench bench;
    private final Certificates certificates;
    private final Mailboxes mailboxes;
    private final Runnable breakOff;

    FaultApi(FaultBench bench, Certificates certificates, Mailboxes mailboxes, Runnable breakOff) {
        this.bench = bench;
        this.certificates = certificates;
        this.mailboxes = mailboxes;
        this.breakOff = breakOff;
    }

    Map<String, Object> handle(HttpExchange exchange) throws IOException {
        byte[] body = exchange.getRequestBody().readAllBytes();
        if (body.length > 0) {
            obey(JSON.readTree(body));
        }
        return Map.of(
                "waiting", bench.waiting(), "trusted", certificates.trusted().toString());
    }

    private void obey(JsonNode command) {
        int times = command.path("times").intValue(0);
        if (command.has("call")) {
            bench.call(command.path("call").stringValue(), times);
        } else if (command.has("refuse")) {
            bench.refuse(
                    command.path("refuse").stringValue(), command.path("code").intValue(), times);
        } else if (command.has("renumber")) {
            mailboxes.renumber(
                    command.path("of").stringValue(), command.path("renumber").stringValue());
            breakOff.run();
        } else if (command.has("release")) {
            bench.release();
        } else if (command.has("breakOff")) {
            breakOff.run();
        } else if (command.has("clear")) {
            bench.clear();
        } else {
            throw new IllegalArgumentException("no such command: " + command);
        }
    }
}
