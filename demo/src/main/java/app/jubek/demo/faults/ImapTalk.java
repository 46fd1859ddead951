package app.jubek.demo.faults;

import java.io.IOException;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** IMAP between a client and the server: lines and literals, in both directions at once. */
final class ImapTalk {
    private static final Pattern LITERAL = Pattern.compile("\\{(\\d+)\\+?}\\r\\n$");
    private static final Map<String, String> SPECIAL = Map.of(
            "sent", "\\Sent", "trash", "\\Trash", "archive", "\\Archive", "junk", "\\Junk", "drafts", "\\Drafts");
    private static final Pattern LISTED = Pattern.compile("^\\* LIST \\(([^)]*)\\) \"(.)\" \"?([^\"\\r]*)\"?\\r\\n$");

    private final Relay.Conversation conversation;
    private final Wire client;
    private final Wire server;
    private final FaultBench bench;
    private final Certificates certificates;
    private final Map<String, String> commands = new ConcurrentHashMap<>();
    private volatile boolean secured;

    ImapTalk(Relay.Conversation conversation, FaultBench bench, Certificates certificates) {
        this.conversation = conversation;
        this.client = conversation.client();
        this.server = conversation.server();
        this.bench = bench;
        this.certificates = certificates;
    }

    void run() throws IOException {
        Optional<Fault> fault = bench.strike(Stage.IMAP_GREETING, Integer.toString(conversation.number()));
        if (fault.isPresent()) {
            client.write(fault.get().text() + "\r\n");
            client.flush();
            return;
        }
        client.write(shown(server.line()));
        client.flush();
        conversation.threads().execute(this::answers);
        for (String line = client.line(); !line.isEmpty(); line = client.line()) {
            if (!command(line)) {
                return;
            }
        }
    }

    /** Returns whether the conversation goes on. */
    private boolean command(String line) throws IOException {
        String tag = line.split(" ", 2)[0];
        if (line.strip().toUpperCase(Locale.ROOT).endsWith(" STARTTLS")) {
            say(tag + " OK begin");
            client.attach(certificates.secure(client.socket(), bench.isOn(Trouble.CERTIFICATE_EXPIRED)));
            secured = true;
            return true;
        }
        Optional<Fault> fault = bench.strike(Stage.IMAP_COMMAND, line);
        if (fault.isPresent()) {
            switch (fault.get().does()) {
                case ANSWER:
                    say(tag + " " + fault.get().text());
                    return true;
                case HOLD:
                    bench.hold();
                    break;
                default:
                    return false;
            }
        }
        commands.put(tag, line);
        server.write(line);
        passLiterals(client, server, line);
        server.flush();
        return true;
    }

    private void passLiterals(Wire from, Wire to, String first) throws IOException {
        String line = first;
        for (Matcher literal = LITERAL.matcher(line); literal.find(); literal = LITERAL.matcher(line)) {
            to.flush();
            from.copyTo(to, Long.parseLong(literal.group(1)));
            line = from.line();
            to.write(line);
        }
    }

    private void answers() {
        try (conversation) {
            for (String line = server.line(); !line.isEmpty(); line = server.line()) {
                if (!answer(line)) {
                    return;
                }
            }
        } catch (IOException over) {
            // The client learns it from the closed connection.
        }
    }

    private boolean answer(String line) throws IOException {
        String command = commands.remove(line.split(" ", 2)[0]);
        if (command != null) {
            Optional<Fault> fault = bench.strike(Stage.IMAP_ANSWER, command);
            if (fault.isPresent()) {
                if (fault.get().does() == Fault.Act.DROP) {
                    return false;
                }
                bench.hold();
            }
        }
        client.write(shown(line));
        passLiterals(server, client, line);
        client.flushAfter(server);
        return true;
    }

    private void say(String line) throws IOException {
        client.write(line + "\r\n");
        client.flush();
    }

    private String shown(String line) {
        String whole = line;
        if (line.contains("CAPABILITY IMAP4")) {
            whole = line.replace("\r\n", " SPECIAL-USE" + (secured ? "" : " STARTTLS") + "\r\n");
        }
        return bench.shown(withSpecialUse(whole));
    }

    /** RFC 6154: the usual folders say what they are for. */
    private static String withSpecialUse(String line) {
        Matcher listed = LISTED.matcher(line);
        if (!listed.matches()) {
            return line;
        }
        String use = SPECIAL.get(listed.group(3).toLowerCase(Locale.ROOT));
        String attributes = listed.group(1).isEmpty() ? String.valueOf(use) : use + " " + listed.group(1);
        return use == null
                ? line
                : "* LIST (" + attributes + ") \"" + listed.group(2) + "\" \"" + listed.group(3) + "\"\r\n";
    }
}
