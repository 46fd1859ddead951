package app.jubek.demo.faults;

import java.io.IOException;
import java.util.Locale;
import java.util.Optional;

/** SMTP between a client and the server: one line, one answer, and the content up to its final dot. */
final class SmtpTalk {
    private final Wire client;
    private final Wire server;
    private final FaultBench bench;
    private final Certificates certificates;
    private boolean secured;

    SmtpTalk(Relay.Conversation conversation, FaultBench bench, Certificates certificates) {
        this.client = conversation.client();
        this.server = conversation.server();
        this.bench = bench;
        this.certificates = certificates;
    }

    void run() throws IOException {
        if (!struck(Stage.SMTP_GREETING, "")) {
            passAnswer();
            for (String line = client.line(); !line.isEmpty(); line = client.line()) {
                if (!command(line)) {
                    return;
                }
            }
        }
    }

    /** Returns whether the conversation goes on. */
    private boolean command(String line) throws IOException {
        String word = line.strip().toUpperCase(Locale.ROOT);
        if (word.equals("STARTTLS")) {
            say("220 go ahead");
            client.attach(certificates.secure(client.socket(), bench.isOn(Trouble.CERTIFICATE_EXPIRED)));
            secured = true;
            return true;
        }
        Optional<Fault> fault = bench.strike(Stage.SMTP_COMMAND, line);
        if (fault.isPresent()) {
            if (fault.get().does() == Fault.Act.ANSWER) {
                say(fault.get().text());
                return true;
            }
            if (!survives(fault.get())) {
                return false;
            }
        }
        server.write(line);
        server.flush();
        boolean content = passAnswer().startsWith("354");
        return !content || content();
    }

    private boolean content() throws IOException {
        String before = "\r\n";
        String line = client.line();
        if (struck(Stage.SMTP_CONTENT, "")) {
            return false;
        }
        while (!(line.equals(".\r\n") && before.endsWith("\r\n"))) {
            if (line.isEmpty()) {
                return false;
            }
            server.write(line);
            before = line;
            line = client.line();
        }
        if (struck(Stage.SMTP_BEFORE_DOT, "")) {
            return false;
        }
        server.write(line);
        server.flush();
        String answer = answer();
        if (struck(Stage.SMTP_AFTER_DOT, "")) {
            return false;
        }
        client.write(answer);
        client.flush();
        return true;
    }

    /** Whether the conversation is over by a fault. */
    private boolean struck(Stage stage, String line) throws IOException {
        Optional<Fault> fault = bench.strike(stage, line);
        return fault.isPresent() && !survives(fault.get());
    }

    private boolean survives(Fault fault) throws IOException {
        switch (fault.does()) {
            case HOLD:
                bench.hold();
                return true;
            case ANSWER:
                say(fault.text());
                return false;
            default:
                return false;
        }
    }

    private void say(String line) throws IOException {
        client.write(line + "\r\n");
        client.flush();
    }

    private String passAnswer() throws IOException {
        String answer = answer();
        client.write(answer);
        client.flush();
        return answer;
    }

    /** An answer of one or more lines. */
    private String answer() throws IOException {
        StringBuilder all = new StringBuilder();
        String line;
        do {
            line = server.line();
            if (line.isEmpty()) {
                throw new IOException("the server hung up");
            }
            if (line.startsWith("250-8BITMIME") && !secured) {
                all.append(bench.shown("250-STARTTLS\r\n"));
            }
            all.append(bench.shown(line));
        } while (line.length() > 3 && line.charAt(3) == '-');
        return all.toString();
    }
}
