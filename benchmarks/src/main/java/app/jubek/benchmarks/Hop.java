package app.jubek.benchmarks;

import app.jubek.demo.postoffice.PostOffice;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * From the acceptance of a message by SMTP to the acceptance of its forward: by Jubek, and in the same run by a bare
 * loop that waits by IDLE, fetches and sends, and does nothing else.
 *
 * <p>Arguments: the class path of the server with the demo's part, the JDBC address of an empty database, a folder to work
 * in. Ports are taken as they are free.
 */
public final class Hop {
    private static final int ROUNDS = 50;
    private static final int WARM_UP = 20;
    private static final long LIMIT_MS = 30_000;
    private static final long START_LIMIT_MS = 180_000;
    private static final String RULES = """
            {"format":"jubek-rule-book","formatVersion":2,"rules":[{"id":"hop","version":1,"name":"hop",
            "picksOut":{"part":"subject","how":"contains","values":["hop"]},
            "does":[{"do":"forward","to":["gate@ostrel-gardens.example"]}],"ending":"continue","on":true}]}""";

    private final Map<String, Long> accepted = new ConcurrentHashMap<>();
    private final PostOffice.Settings settings;

    private Hop(Path folder) throws IOException {
        settings = new PostOffice.Settings(folder.resolve("post"), freePort(), freePort(), freePort(), "ostrel");
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }

    public static void main(String[] arguments) throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory(Path.of(arguments[2]), "hop");
        new Hop(folder).run(arguments[0], arguments[1], folder);
        System.exit(0); // the simulated mail servers leave threads behind
    }

    private void run(String classes, String database, Path folder) throws IOException, InterruptedException {
        try (PostOffice office = new PostOffice(settings, this::note)) {
            office.open(List.of("visits@ostrel-gardens.example", "bare@ostrel-gardens.example"));
            office.start();
            Process server = server(classes, database, folder);
            try (BareLoop bare = new BareLoop(settings)) {
                bare.start();
                awaitFirst(server, "visits");
                awaitFirst(server, "bare");
                List<Double> jubek = new ArrayList<>();
                List<Double> loop = new ArrayList<>();
                for (int i = 0; i < WARM_UP + ROUNDS; i++) {
                    double one = hop("visits", "hop j" + i);
                    double other = hop("bare", "hop b" + i);
                    if (i >= WARM_UP) {
                        jubek.add(one);
                        loop.add(other);
                    }
                }
                report(jubek, loop);
            } finally {
                server.destroy();
                server.waitFor();
            }
        }
    }

    private void note(byte[] bytes) {
        long now = System.nanoTime();
        String head = new String(bytes, 0, Math.min(bytes.length, 2_000), StandardCharsets.ISO_8859_1);
        Arrays.stream(head.split("\r\n"))
                .filter(line -> line.startsWith("Subject: "))
                .findFirst()
                .ifPresent(line -> accepted.putIfAbsent(line.substring(9), now));
    }

    /** What comes in before a mailbox is watched is past mail and stays; so letters are sent until one is forwarded. */
    private void awaitFirst(Process server, String mailbox) throws InterruptedException {
        long end = System.nanoTime() + START_LIMIT_MS * 1_000_000;
        int sent = 0;
        while (accepted.keySet().stream().noneMatch(subject -> subject.startsWith("Fwd: first hop of " + mailbox))) {
            if (!server.isAlive() || System.nanoTime() > end) {
                throw new IllegalStateException("nothing was forwarded from " + mailbox + "; see server.log");
            }
            new Letter("first hop of " + mailbox + " " + sent++, mailbox + "@ostrel-gardens.example")
                    .send(settings.smtpPort());
            Thread.sleep(1_000);
        }
    }

    /** Milliseconds of one hop. */
    private double hop(String mailbox, String subject) throws InterruptedException {
        new Letter(subject, mailbox + "@ostrel-gardens.example").send(settings.smtpPort());
        long end = System.nanoTime() + LIMIT_MS * 1_000_000;
        while (!accepted.containsKey("Fwd: " + subject)) {
            if (System.nanoTime() > end) {
                throw new IllegalStateException("no forward of " + subject + " within 30 seconds");
            }
            Thread.sleep(1);
        }
        Thread.sleep(30);
        return (accepted.get("Fwd: " + subject) - accepted.get(subject)) / 1e6;
    }

    private Process server(String classes, String database, Path folder) throws IOException {
        Path rules = Files.writeString(folder.resolve("rules.json"), RULES);
        List<String> command =
                new ArrayList<>(List.of("java", "-Xmx1g", "-cp", classes, "app.jubek.server.JubekApplication"));
        Map.ofEntries(
                        Map.entry("server.port", freePort()),
                        Map.entry("spring.datasource.url", database),
                        Map.entry("jubek.data-dir", folder.resolve("jubek")),
                        Map.entry("jubek.demo.post-office", "http://127.0.0.1:" + settings.controlPort()),
                        Map.entry("jubek.demo.rule-book", rules),
                        Map.entry("jubek.account.sign-in", "ilse"),
                        Map.entry("jubek.account.name", "Ilse"),
                        Map.entry("jubek.account.password", "greenhouse"),
                        Map.entry("jubek.mailbox.address", "visits@ostrel-gardens.example"),
                        Map.entry("jubek.mailbox.name", "Visits"),
                        Map.entry("jubek.mailbox.addresses", "visits@ostrel-gardens.example"),
                        Map.entry("jubek.mailbox.domains", "ostrel-gardens.example"),
                        Map.entry("jubek.mailbox.zone", "Europe/Stockholm"),
                        Map.entry("jubek.mailbox.imap-host", "127.0.0.1"),
                        Map.entry("jubek.mailbox.imap-port", settings.imapPort()),
                        Map.entry("jubek.mailbox.smtp-host", "127.0.0.1"),
                        Map.entry("jubek.mailbox.smtp-port", settings.smtpPort()),
                        Map.entry("jubek.mailbox.user", "visits@ostrel-gardens.example"),
                        Map.entry("jubek.mailbox.password", settings.password()))
                .forEach((name, value) -> command.add("--" + name + "=" + value));
        return new ProcessBuilder(command)
                .redirectOutput(folder.resolve("server.log").toFile())
                .redirectErrorStream(true)
                .start();
    }

    private static void report(List<Double> jubek, List<Double> loop) {
        double ours = median(jubek);
        double bare = median(loop);
        System.out.printf(
                Locale.ROOT,
                "hop, %d messages each: Jubek median %.0f ms, worst %.0f ms; bare loop median %.0f ms, worst %.0f ms;"
                        + " ratio of medians %.1f%n",
                ROUNDS,
                ours,
                worst(jubek),
                bare,
                worst(loop),
                ours / bare);
    }

    private static double median(List<Double> values) {
        return values.stream().sorted().skip(values.size() / 2).findFirst().orElseThrow();
    }

    private static double worst(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
    }
}
