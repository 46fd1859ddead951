package app.jubek.e2e.promises;

import app.jubek.demo.faults.FaultBench;
import app.jubek.demo.postoffice.FreePort;
import app.jubek.demo.postoffice.PostOffice;
import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Store;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.function.BooleanSupplier;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;

/** A post office, a database of its own, and server processes on them. */
final class Bench implements AutoCloseable {
    static final String VISITS = "visits@ostrel-gardens.example";
    static final String EDUCATION = "education@ostrel-gardens.example";
    static final String ANNA = "anna@school.example";
    static final String DATABASE =
            System.getenv().getOrDefault("JUBEK_TEST_DATABASE", "jdbc:postgresql://127.0.0.1:8494/jubek");

    private static final String PASSWORD = System.getenv().getOrDefault("JUBEK_TEST_DATABASE_PASSWORD", "");

    private static final Duration PATIENCE = Duration.ofMinutes(2);

    final PostOffice.Settings settings;
    final Path folder;
    private final PostOffice office;
    private final String database;
    private final String schema;
    private final List<Node> nodes = new ArrayList<>();
    private String host = "127.0.0.1";

    Bench(String name) throws IOException {
        this(name, DATABASE, "bench_" + name);
    }

    Bench(String name, String database, String schema) throws IOException {
        this.database = database;
        this.schema = schema;
        folder = Files.createTempDirectory("jubek-" + name);
        settings = PostOffice.Settings.onFreePorts(folder.resolve("post"), "ostrel");
        office = new PostOffice(settings, bytes -> {});
        office.open(List.of(VISITS, EDUCATION, ANNA));
        office.start();
        try (InputStream rules = Bench.class.getResourceAsStream("/promises/rules.json")) {
            Files.write(folder.resolve("rules.json"), rules.readAllBytes());
        }
        execute("drop schema if exists " + schema + " cascade");
        execute("create schema " + schema);
    }

    FaultBench faults() {
        return office.bench();
    }

    PostOffice office() {
        return office;
    }

    /** Speaks TLS from now on: 127.0.0.2 is an address on which plain text is refused. */
    Bench secured() {
        host = "127.0.0.2";
        return this;
    }

    Node start(String... more) {
        return watching(begin(List.of(), Map.of(), more));
    }

    /** What comes in before the first watching begins is past mail, so tests wait for it. */
    Node watching(Node node) {
        node.ready();
        await("the mailbox is watched", () -> count("select count(*) from folder_cursor") == 1);
        return node;
    }

    Node begin(List<String> java, Map<String, String> environment, String... more) {
        List<String> arguments = new ArrayList<>(List.of(
                "--spring.datasource.url=" + database + "?currentSchema=" + schema,
                "--spring.datasource.hikari.maximum-pool-size=12",
                "--jubek.data-dir=" + folder.resolve("jubek"),
                "--jubek.poll-interval=2s",
                "--jubek.reconnect-after=500ms",
                "--jubek.retry-after=500ms,1s",
                "--jubek.lease=4s",
                "--jubek.demo.post-office=http://127.0.0.1:" + settings.controlPort(),
                "--jubek.demo.rule-book=" + folder.resolve("rules.json"),
                "--jubek.account.sign-in=ilse",
                "--jubek.account.name=Ilse Varga",
                "--jubek.account.password=greenhouse",
                "--jubek.mailbox.address=" + VISITS,
                "--jubek.mailbox.name=Visits desk",
                "--jubek.mailbox.addresses=" + VISITS,
                "--jubek.mailbox.domains=ostrel-gardens.example",
                "--jubek.mailbox.zone=Europe/Stockholm",
                "--jubek.mailbox.imap-host=" + host,
                "--jubek.mailbox.imap-port=" + settings.imapPort(),
                "--jubek.mailbox.smtp-host=" + host,
                "--jubek.mailbox.smtp-port=" + settings.smtpPort(),
                "--jubek.mailbox.user=" + VISITS,
                "--jubek.mailbox.password=ostrel",
                "--jubek.mailbox.hourly-limit=100000",
                "--jubek.mailbox.rule-limit=100000",
                "--jubek.mailbox.destination-limit=100000",
                "--jubek.mailbox.sender-limit=100000"));
        arguments.addAll(List.of(more));
        try {
            Map<String, String> all = new HashMap<>(environment);
            all.put("SPRING_DATASOURCE_PASSWORD", PASSWORD);
            Node.archiveClasses(arguments, all);
            Node node =
                    Node.begin(FreePort.any(), folder.resolve("server-" + nodes.size() + ".log"), java, arguments, all);
            nodes.add(node);
            return node;
        } catch (IOException failed) {
            throw new IllegalStateException(failed);
        }
    }

    // ---- mail ----

    /** Puts a message into the visits desk's inbox by SMTP, whatever faults are called for. */
    void write(String subject, String text) {
        deliver(letter(ANNA, subject, text));
    }

    /** From somebody who was not answered yet. */
    String writeAnew(String subject) {
        String sender = subject.replace(' ', '.') + "@school.example";
        deliver(letter(sender, subject, "x"));
        return sender;
    }

    static byte[] letter(String from, String subject, String text) {
        return ("From: " + from + "\r\nTo: " + VISITS + "\r\nSubject: " + subject + "\r\nMessage-ID: <"
                        + java.util.UUID.randomUUID() + "@school.example>\r\n\r\n" + text + "\r\n")
                .getBytes(StandardCharsets.UTF_8);
    }

    void deliver(byte[] bytes) {
        String from = field(new String(bytes, StandardCharsets.ISO_8859_1), "From");
        office.deliver(from, VISITS, bytes);
    }

    interface Looking<T> {
        T at(Store store, Folder folder) throws MessagingException, IOException;
    }

    /** As a mail program of the mailbox's owner, beside Jubek. */
    <T> T imap(String address, String name, Looking<T> looking) {
        Properties properties = new Properties();
        properties.put("mail.imap.peek", "true");
        properties.put("mail.imap.connectiontimeout", "30000");
        properties.put("mail.imap.timeout", "30000");
        try (Store store = Session.getInstance(properties).getStore("imap")) {
            store.connect("127.0.0.1", settings.imapPort(), address, "ostrel");
            Folder opened = store.getFolder(name);
            if (opened.exists()) {
                opened.open(Folder.READ_WRITE);
            }
            return looking.at(store, opened);
        } catch (AuthenticationFailedException noSuchMailbox) {
            throw new IllegalStateException("no mailbox " + address, noSuchMailbox);
        } catch (MessagingException | IOException failed) {
            throw new IllegalStateException(failed);
        }
    }

    /** The messages of a folder, raw; as the post office keeps them, since to ask by IMAP for thousands takes long. */
    List<String> mail(String address, String name) {
        return office.raw(address, name).stream()
                .map(bytes -> new String(bytes, StandardCharsets.UTF_8))
                .toList();
    }

    List<String> mail(String address, String name, String subject) {
        return mail(address, name).stream()
                .filter(m -> m.contains("Subject: " + subject + "\r\n"))
                .toList();
    }

    /** The value of a field in a raw message. */
    static String field(String message, String name) {
        return message.lines()
                .filter(line -> line.startsWith(name + ": "))
                .map(line -> line.substring(name.length() + 2))
                .findFirst()
                .orElse("");
    }

    // ---- records and database ----

    /** The steps that concern messages with a subject, as the API tells them. */
    static List<JsonNode> steps(Node node, String subject, String kind) {
        return StreamSupport.stream(node.records().spliterator(), false)
                .filter(r -> r.get("message").get("subject").stringValue().equals(subject))
                .map(r -> r.get("step"))
                .filter(s -> s.get("kind").stringValue().equals(kind))
                .toList();
    }

    /** The one step of a kind, once it stands in a state. */
    static JsonNode step(Node node, String subject, String kind, String state) {
        await(
                kind + " of \"" + subject + "\" is " + state,
                () -> steps(node, subject, kind).stream()
                        .anyMatch(s -> s.get("state").stringValue().equals(state)));
        return steps(node, subject, kind).stream()
                .filter(s -> s.get("state").stringValue().equals(state))
                .findFirst()
                .orElseThrow();
    }

    long count(String sql) {
        try (Connection connection = connect();
                ResultSet found = connection.createStatement().executeQuery(sql)) {
            found.next();
            return found.getLong(1);
        } catch (SQLException failed) {
            throw new IllegalStateException(failed);
        }
    }

    void execute(String sql) {
        try (Connection connection = connect()) {
            connection.createStatement().execute(sql);
        } catch (SQLException failed) {
            throw new IllegalStateException(failed);
        }
    }

    Connection connect() throws SQLException {
        return DriverManager.getConnection(database + "?currentSchema=" + schema, "jubek", PASSWORD);
    }

    static void await(String what, BooleanSupplier holds) {
        await(what, PATIENCE, holds);
    }

    static void await(String what, Duration patience, BooleanSupplier holds) {
        long end = System.nanoTime() + patience.toNanos();
        while (!holds.getAsBoolean()) {
            if (System.nanoTime() > end) {
                throw new AssertionError("waited in vain: " + what);
            }
            pause(50);
        }
    }

    static void pause(long millis) {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() {
        faults().clear();
        nodes.forEach(Node::close);
        office.close();
    }

    /** The codes of why a step is where it is, outermost first, and of what to do. */
    static List<String> codes(JsonNode step) {
        List<String> codes = new ArrayList<>();
        collect(step.path("because"), codes);
        collect(step.path("advice"), codes);
        return codes;
    }

    private static void collect(JsonNode statement, List<String> codes) {
        if (statement.path("code").isString()) {
            codes.add(statement.get("code").stringValue());
            statement.path("arguments").forEach(argument -> collect(argument, codes));
        }
    }
}
