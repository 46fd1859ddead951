package app.jubek.server.delivery;

import app.jubek.core.message.Octets;
import app.jubek.server.delivery.SmtpReply.To;
import app.jubek.server.mailbox.MailServer;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Locale;

/**
 * One SMTP connection (RFC 5321) that sends octets as they are, message after message. The usual libraries rewrite
 * Message-IDs, line ends or encodings on the way out, and do not tell whether a broken connection broke before or after
 * the final dot.
 */
final class SmtpSession implements AutoCloseable {
    private static final String FORWARD_IT = "Forward it instead: a forward is written anew.";

    private final SmtpLink link;
    private List<String> extensions = List.of();

    private SmtpSession(SmtpLink link) {
        this.link = link;
    }

    static SmtpSession open(MailServer server, String user, String password) throws IOException, SmtpFault {
        SmtpLink link = SmtpLink.to(server);
        try {
            SmtpSession session = new SmtpSession(link);
            session.greet(server, user, password);
            return session;
        } catch (IOException | SmtpFault failed) {
            link.close();
            throw failed;
        }
    }

    private void greet(MailServer server, String user, String password) throws IOException, SmtpFault {
        link.read().expect(2, To.GREETING);
        hello();
        if (!server.isLoopback() && !server.isImplicitTls()) {
            if (!extensions.contains("STARTTLS")) {
                throw new IOException("no STARTTLS");
            }
            link.command("STARTTLS").expect(2, To.GREETING);
            link.secure();
            hello();
        }
        boolean asksForPassword = extensions.stream().anyMatch(e -> e.startsWith("AUTH") && e.contains("PLAIN"));
        if (asksForPassword) {
            byte[] plain = ("\0" + user + "\0" + password).getBytes(StandardCharsets.UTF_8);
            link.command("AUTH PLAIN " + Base64.getEncoder().encodeToString(plain))
                    .expect(2, To.PASSWORD);
        }
    }

    private void hello() throws IOException, SmtpFault {
        SmtpReply reply = link.command("EHLO jubek.localdomain");
        reply.expect(2, To.GREETING);
        extensions = reply.lines().stream().map(l -> l.toUpperCase(Locale.ROOT)).toList();
    }

    /**
     * Sends one message to one recipient.
     *
     * @param sender empty for the null path
     * @param content streamed as it is, but for dot-stuffing
     * @throws IOException when the connection broke before the final dot
     */
    void send(String sender, String recipient, Octets content) throws IOException, SmtpFault {
        String body = bodyType(ContentScan.of(content));
        SmtpReply from = link.command("MAIL FROM:<" + sender + ">" + body);
        if (sender.isEmpty() && from.code() / 100 == 5) {
            throw new NullSenderRefused("the mail server answered " + from.text());
        }
        from.expect(2, To.SENDER);
        link.command("RCPT TO:<" + recipient + ">").expect(2, To.RECIPIENT);
        link.command("DATA").expect(3, To.CONTENT);
        DotStuffing stuffed = new DotStuffing(link.out());
        try (InputStream in = content.open()) {
            stuffed.write(in);
        }
        link.out().flush();
        finish(stuffed);
    }

    private String bodyType(ContentScan scan) throws SmtpFault {
        if (scan.unsafeLine()) {
            throw new SmtpFault(
                    SmtpFault.Kind.NOT_AS_IT_IS,
                    "a line end in this message is one that SMTP forbids, so it can't leave unchanged",
                    FORWARD_IT);
        }
        if (scan.eightBit() && !extensions.contains("8BITMIME")) {
            throw new SmtpFault(
                    SmtpFault.Kind.NOT_AS_IT_IS,
                    "the mail server takes no 8-bit content and this message has some",
                    FORWARD_IT);
        }
        return scan.eightBit() ? " BODY=8BITMIME" : "";
    }

    /** From the final dot on nobody can know what a broken connection means. */
    private void finish(DotStuffing content) throws SmtpFault {
        try {
            content.end();
            link.out().flush();
            link.read().expect(2, To.CONTENT);
        } catch (IOException broken) {
            throw new SmtpFault(
                    SmtpFault.Kind.UNKNOWN,
                    "the connection broke after the message was sent and before it was confirmed",
                    "");
        }
    }

    @Override
    public void close() {
        try (SmtpLink closing = link) {
            closing.out().write("QUIT\r\n".getBytes(StandardCharsets.US_ASCII));
            closing.out().flush();
        } catch (IOException ignored) {
            // What was to be said has been said; how the other side hangs up changes nothing.
        }
    }
}
