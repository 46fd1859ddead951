package app.jubek.e2e.promises;

import java.io.File;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One server process, and its API as a signed-in person uses it. */
final class Node implements AutoCloseable {
    static final Path APP = Path.of("../server/target/app/jubek-server-0.1.0-exec.jar")
            .toAbsolutePath()
            .normalize();

    /** What gives it rules to begin with; after the rest of the class path, so that the archive of classes fits. */
    private static final Path DEMO = Path.of("../demo-server/target/jubek-demo-server-0.1.0.jar")
            .toAbsolutePath()
            .normalize();

    private static final String MAIN = "app.jubek.server.JubekApplication";

    private static final Duration PATIENCE = Duration.ofMinutes(2);

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final Process process;
    private final Path log;
    private final String address;

    private Node(Process process, int port, Path log) {
        this.process = process;
        this.log = log;
        this.address = "http://127.0.0.1:" + port;
    }

    /** Once for all processes, so that they start in half the time (JEP 350). */
    static synchronized void archiveClasses(List<String> arguments, Map<String, String> environment)
            throws IOException {
        Path archive = APP.resolveSibling("classes.jsa");
        if (!Files.exists(archive)) {
            List<String> command = new ArrayList<>(List.of("java", "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1"));
            command.addAll(List.of("-XX:ArchiveClassesAtExit=" + archive, "-Dspring.context.exit=onRefresh"));
            command.addAll(List.of("-cp", APP.toString(), MAIN));
            command.addAll(arguments);
            ProcessBuilder builder = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD);
            builder.environment().putAll(environment);
            Process process = builder.start();
            try {
                process.waitFor(2, TimeUnit.MINUTES);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }
    }

    /** Starts a process; it need not be ready when this returns. */
    static Node begin(int port, Path log, List<String> java, List<String> arguments, Map<String, String> environment)
            throws IOException {
        List<String> command = new ArrayList<>(List.of("java", "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1"));
        Path archive = APP.resolveSibling("classes.jsa");
        if (Files.exists(archive)) {
            command.addAll(List.of("-Xshare:auto", "-Xlog:disable", "-XX:SharedArchiveFile=" + archive));
        }
        command.addAll(java);
        command.addAll(List.of("-cp", APP + File.pathSeparator + DEMO, MAIN, "--server.port=" + port));
        command.addAll(arguments);
        ProcessBuilder builder = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()));
        builder.environment().putAll(environment);
        return new Node(builder.start(), port, log);
    }

    Node ready() {
        long end = System.nanoTime() + Duration.ofMinutes(4).toNanos();
        while (!isReady()) {
            if (System.nanoTime() > end || !process.isAlive()) {
                throw new IllegalStateException("the server did not start:\n" + log());
            }
            Bench.pause(100);
        }
        return this;
    }

    private boolean isReady() {
        try {
            return get("/readyz").statusCode() == 200;
        } catch (IllegalStateException notYet) {
            return false;
        }
    }

    String log() {
        try {
            return Files.readString(log);
        } catch (IOException unreadable) {
            throw new IllegalStateException(unreadable);
        }
    }

    long pid() {
        return process.pid();
    }

    boolean isAlive() {
        return process.isAlive();
    }

    HttpResponse<String> get(String path, String... headers) {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(address + path)).timeout(PATIENCE);
        if (headers.length > 0) {
            request.headers(headers);
        }
        return send(request.build());
    }

    /** As a browser that was never here. */
    HttpResponse<String> getAnew(String path, String... headers) {
        cookies.getCookieStore().removeAll();
        return get(path, headers);
    }

    private HttpResponse<String> send(HttpRequest request) {
        try {
            return http.send(request, HttpResponse.BodyHandlers.ofString());
        } catch (IOException broken) {
            throw new IllegalStateException(broken);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    private HttpResponse<String> post(String path, String type, String body) {
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .timeout(PATIENCE)
                .headers("X-XSRF-TOKEN", token, "Content-Type", type)
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build());
    }

    /** The path below the current mailbox, signed in when need be. */
    private String mailbox() {
        JsonNode session = JSON.readTree(get("/api/session").body());
        if (!session.has("name")) {
            post("/api/sign-in", "application/x-www-form-urlencoded", "username=ilse&password=greenhouse");
            session = JSON.readTree(get("/api/session").body());
        }
        return "/api/mailboxes/" + session.get("mailboxes").get(0).get("id").stringValue();
    }

    JsonNode records() {
        return JSON.readTree(get(mailbox() + "/records?limit=500").body()).get("records");
    }

    /** What lies at a path below the current mailbox. */
    JsonNode read(String path) {
        return JSON.readTree(get(mailbox() + path).body());
    }

    JsonNode post(String path, String body) {
        HttpResponse<String> answer = post(mailbox() + path, "application/json", body);
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(answer.body());
        }
        return JSON.readTree(answer.body());
    }

    JsonNode setAside() {
        return JSON.readTree(get(mailbox() + "/set-aside").body());
    }

    JsonNode mailboxView() {
        return JSON.readTree(get(mailbox()).body());
    }

    void act(String step, String act) {
        post("/steps/" + step + "/" + act, "");
    }

    /** At once, as by a power cut. */
    void kill() {
        process.destroyForcibly();
        await();
    }

    /** In good order. */
    int stop() {
        process.destroy();
        await();
        return process.exitValue();
    }

    void await() {
        try {
            if (!process.waitFor(40, TimeUnit.SECONDS)) {
                throw new IllegalStateException("the server does not stop");
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() {
        if (process.isAlive()) {
            process.destroyForcibly();
            await();
        }
    }
}
