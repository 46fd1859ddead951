package app.jubek.server;

import app.jubek.demo.garden.GardenMail;
import app.jubek.demo.postoffice.PostOffice;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import org.springframework.test.context.DynamicPropertyRegistry;

/** A real post office and a database of their own for the tests of one JVM. */
final class World {
    static final String VISITS = "visits@ostrel-gardens.example";
    static final String SEEDS = "seeds@ostrel-gardens.example";

    /** Its rules, templates and people may be anything. */
    static final String WALKS = "walks@ostrel-gardens.example";

    static final String WRITTEN_BY_ILSE = "<ilse.1@ostrel-gardens.example>";
    static final String DATABASE =
            System.getenv().getOrDefault("JUBEK_TEST_DATABASE", "jdbc:postgresql://127.0.0.1:8494/jubek");

    private static final String PASSWORD = System.getenv().getOrDefault("JUBEK_TEST_DATABASE_PASSWORD", "");

    private static World only;

    final PostOffice.Settings settings;
    private PostOffice office;

    private World() {
        Path folder = temporary();
        settings = PostOffice.Settings.onFreePorts(folder.resolve("post"), "ostrel");
        open();
        byte[] sent = ("Message-ID: " + WRITTEN_BY_ILSE + "\r\nSubject: weekend\r\n\r\nDear Bea")
                .getBytes(StandardCharsets.US_ASCII);
        office.fill(VISITS, List.of(new GardenMail.Letter("sent", "Sent", Instant.now(), true, sent)));
    }

    static synchronized World get() {
        if (only == null) {
            only = new World();
        }
        return only;
    }

    /** Where the operator would put calendar files. */
    Path calendars() {
        return settings.data().resolveSibling("calendars");
    }

    URI composing() {
        return URI.create("http://127.0.0.1:" + settings.controlPort() + "/composing");
    }

    PostOffice office() {
        return office;
    }

    void open() {
        office = new PostOffice(settings, bytes -> {});
        office.open(List.of(SEEDS, WALKS));
        office.start();
    }

    void properties(DynamicPropertyRegistry registry) {
        emptyDatabase();
        registry.add("spring.datasource.url", () -> DATABASE);
        registry.add("spring.datasource.password", () -> PASSWORD);
        registry.add(
                "spring.jpa.properties.hibernate.session_factory.statement_inspector", StatementRecord.class::getName);
        registry.add("jubek.data-dir", () -> settings.data().resolveSibling("jubek"));
        registry.add("jubek.calendar-folder", () -> calendars());
        registry.add("jubek.web.public-address", () -> "https://jubek.ostrel-gardens.example");
        registry.add("jubek.composing.url", () -> composing().toString());
        registry.add("jubek.composing.allow-inner-network", () -> true);
        registry.add("jubek.composing.timeout", () -> "3s");
        registry.add("jubek.poll-interval", () -> "2s");
        registry.add("jubek.reconnect-after", () -> "200ms");
        registry.add("jubek.retry-after", () -> "300ms,300ms");
        registry.add("jubek.lease", () -> "4s");
        registry.add("jubek.mailbox.destination-limit", () -> 1_000);
        registry.add("jubek.mailbox.sender-limit", () -> 1_000);
        registry.add("jubek.account.sign-in", () -> "ilse");
        registry.add("jubek.account.name", () -> "Ilse Varga");
        registry.add("jubek.account.password", () -> "greenhouse");
        registry.add("jubek.mailbox.address", () -> VISITS);
        registry.add("jubek.mailbox.name", () -> "Visits desk");
        registry.add("jubek.mailbox.addresses", () -> VISITS + ",photos@ostrel-gardens.example");
        registry.add("jubek.mailbox.domains", () -> "ostrel-gardens.example");
        registry.add("jubek.mailbox.zone", () -> "Europe/Stockholm");
        registry.add("jubek.mailbox.imap-host", () -> "127.0.0.1");
        registry.add("jubek.mailbox.imap-port", () -> settings.imapPort());
        registry.add("jubek.mailbox.smtp-host", () -> "127.0.0.1");
        registry.add("jubek.mailbox.smtp-port", () -> settings.smtpPort());
        registry.add("jubek.mailbox.user", () -> VISITS);
        registry.add("jubek.mailbox.password", () -> "ostrel");
        registry.add("jubek.other-mailboxes.seeds.address", () -> SEEDS);
        registry.add("jubek.other-mailboxes.seeds.name", () -> "Seed exchange");
        registry.add("jubek.other-mailboxes.seeds.password", () -> "ostrel");
        registry.add("jubek.other-mailboxes.walks.address", () -> WALKS);
        registry.add("jubek.other-mailboxes.walks.name", () -> "Guided walks");
        registry.add("jubek.other-mailboxes.walks.password", () -> "ostrel");
        registry.add("jubek.test-senders.outside.addresses", () -> "*");
        registry.add("jubek.test-senders.outside.smtp-host", () -> "127.0.0.1");
        registry.add("jubek.test-senders.outside.smtp-port", () -> settings.smtpPort());
        registry.add("jubek.test-senders.outside.user", () -> VISITS);
        registry.add("jubek.test-senders.outside.password", () -> "ostrel");
    }

    private static void emptyDatabase() {
        try (Connection connection = DriverManager.getConnection(DATABASE, "jubek", PASSWORD)) {
            connection.createStatement().execute("drop schema if exists public cascade; create schema public");
        } catch (SQLException away) {
            throw new IllegalStateException("no test database at " + DATABASE + ": run bin/test", away);
        }
    }

    private static Path temporary() {
        try {
            return Files.createTempDirectory("jubek-test");
        } catch (IOException failed) {
            throw new IllegalStateException(failed);
        }
    }
}
