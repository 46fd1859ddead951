package app.jubek.benchmarks;

import app.jubek.demo.postoffice.PostOffice;
import java.io.IOException;
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
 * <p>Arguments: the server's jar, the JDBC address of an empty database, a folder to work in.
 */
public final class Hop {
    private static final int ROUNDS = 50;
    private static final int WARM_UP = 20;
    private static final long LIMIT_MS = 30_000;
    private static final PostOffice.Settings BASE = new PostOffice.Settings(Path.of("."), 8681, 8682, 8683, "ostrel");
    private static final String RULES = """
            {"format":"jubek-rule-book","formatVersion":1,"rules":[{"id":"hop","version":1,"name":"hop",
            "picksOut":{"part":"subject","how":"contains","values":["hop"]},
            "does":[{"do":"forward","to":["gate@ostrel-gardens.example"]}],"ending":"goes on","on":true}]}""";

    private final Map<String, Long> accepted = new ConcurrentHashMap<>();
    private final PostOffice.Settings settings;

    private Hop(Path folder) {
        settings = new PostOffice.Settings(
                folder.resolve("post"), BASE.smtpPort(), BASE.imapPort(), BASE.controlPort(), BASE.password());
    }

    public static void main(String[] arguments) throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory(Path.of(arguments[2]), "hop");
        new Hop(folder).run(Path.of(arguments[0]), arguments[1], folder);
    }

    private void run(Path jar, String database, Path folder) throws IOException, InterruptedException {
        try (PostOffice office = new PostOffice(settings, this::note)) {
            office.open(List.of("visits@ostrel-gardens.example", "bare@ostrel-gardens.example"));
            office.start();
            Process server = server(jar, database, folder);
            try (BareLoop bare = new BareLoop(settings)) {
                bare.start();
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

    private void note(byte[] octets) {
        long now = System.nanoTime();
        String head = new String(octets, 0, Math.min(octets.length, 2_000), StandardCharsets.ISO_8859_1);
        Arrays.stream(head.split("\r\n"))
                .filter(line -> line.startsWith("Subject: "))
                .findFirst()
                .ifPresent(line -> accepted.putIfAbsent(line.substring(9), now));
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

    private Process server(Path jar, String database, Path folder) throws IOException, InterruptedException {
        Path rules = Files.writeString(folder.resolve("rules.json"), RULES);
        List<String> command = new ArrayList<>(List.of("java", "-Xmx1g", "-jar", jar.toString(), "--server.port=8680"));
        Map.ofEntries(
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
        Process process = new ProcessBuilder(command)
                .redirectOutput(folder.resolve("server.log").toFile())
                .redirectErrorStream(true)
                .start();
        Thread.sleep(25_000);
        return process;
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
