package app.jubek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/**
 * The demo once for all journeys, on ports of its own and from empty. Nothing comes in by itself, so that journeys find
 * what they did alone; for pictures it is the demo as a newcomer starts it.
 */
final class Demo {
    static final String ADDRESS = "http://127.0.0.1:8580";

    private static final HttpClient POST_OFFICE = HttpClient.newHttpClient();

    private static Demo only;

    private Demo() {
        Path root = Path.of("..").toAbsolutePath().normalize();
        ProcessBuilder builder = new ProcessBuilder("bin/demo", "--fresh")
                .directory(root.toFile())
                .redirectErrorStream(true);
        builder.environment()
                .putAll(Map.of(
                        "JUBEK_WEB_PORT",
                        "8580",
                        "JUBEK_SMTP_PORT",
                        "8581",
                        "JUBEK_IMAP_PORT",
                        "8582",
                        "JUBEK_CONTROL_PORT",
                        "8583",
                        "PG_PORT",
                        "8584",
                        "PG_BASE",
                        root.resolve(".pg/e2e").toString(),
                        "JUBEK_DEMO_DATA",
                        root.resolve(".local/e2e").toString()));
        if (!Boolean.getBoolean("demo.lives")) {
            builder.environment().put("JUBEK_DEMO_STILL", "yes");
        }
        try {
            Process process = builder.start();
            Runtime.getRuntime().addShutdownHook(new Thread(() -> stop(process)));
            awaitReady(process);
        } catch (IOException failed) {
            throw new IllegalStateException(failed);
        }
    }

    static synchronized void running() {
        if (only == null) {
            only = new Demo();
        }
    }

    /** By the simulated post office itself, whose time the server takes over when it is next asked for it. */
    static void clockAtRealTime() {
        clockMovedBy(Duration.ZERO);
    }

    static void clockAt(Instant at) {
        clockMovedBy(Duration.between(Instant.now(), at));
    }

    private static void clockMovedBy(Duration offset) {
        tell("PUT", "clock", "{\"offsetSeconds\": " + offset.toSeconds() + "}");
    }

    /** Writes as anybody, past the page. */
    static void write(String from, String to, String subject, String text) {
        tell(
                "POST",
                "write",
                "{\"from\":\"%s\",\"to\":\"%s\",\"subject\":\"%s\",\"text\":\"%s\"}"
                        .formatted(from, to, subject, text));
    }

    private static void tell(String method, String what, String body) {
        HttpRequest request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:8583/" + what))
                .timeout(Duration.ofMinutes(2))
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .build();
        try {
            HttpResponse<Void> answer = POST_OFFICE.send(request, HttpResponse.BodyHandlers.discarding());
            assertThat(answer.statusCode()).isBetween(200, 204);
        } catch (IOException failed) {
            throw new IllegalStateException(failed);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static void awaitReady(Process process) throws IOException {
        StringBuilder said = new StringBuilder();
        BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            said.append(line).append('\n');
            if (line.contains("Jubek is ready")) {
                return;
            }
        }
        throw new IllegalStateException("the demo did not start:\n" + said);
    }

    private static void stop(Process process) {
        process.destroy();
        try {
            if (!process.waitFor(30, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
