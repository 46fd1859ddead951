package app.jubek.server.smtp;

import app.jubek.core.message.ByteSource;
import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
import app.jubek.server.mailbox.MailServer;
import app.jubek.server.mailbox.NoEncryption;
import app.jubek.server.smtp.SmtpReply.To;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.OptionalLong;

/**
 * One SMTP connection (RFC 5321) that sends bytes as they are, message after message. The usual libraries rewrite
 * Message-IDs, line ends or encodings on the way out, and do not tell whether a broken connection broke before or after
 * the final dot.
 */
public final class SmtpSession implements AutoCloseable {
    private final SmtpLink link;
    private final String host;
    private Extensions extensions = Extensions.NONE;

    private SmtpSession(SmtpLink link, String host) {
        this.link = link;
        this.host = host;
    }

    public static SmtpSession open(MailServer server, String user, String password) throws IOException, SmtpFault {
        SmtpLink link = SmtpLink.to(server);
        try {
            SmtpSession session = new SmtpSession(link, server.host());
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
            if (!extensions.has("STARTTLS")) {
                throw new NoEncryption();
            }
            link.command("STARTTLS").expect(2, To.GREETING);
            link.secure();
            hello();
        }
        if (extensions.takesPlainSignIn()) {
            byte[] plain = ("\0" + user + "\0" + password).getBytes(StandardCharsets.UTF_8);
            link.command("AUTH PLAIN " + Base64.getEncoder().encodeToString(plain))
                    .expect(2, To.PASSWORD);
        } else if (extensions.asksForSignIn() || !server.isLoopback()) {
            throw new SmtpFault(
                    SmtpFault.Kind.TEMPORARY, Trouble.of(Failure.NO_SIGN_IN.with(host), Advice.ASK_MAIL_ADMINISTRATOR));
        }
    }

    private void hello() throws IOException, SmtpFault {
        SmtpReply reply = link.command("EHLO " + link.ownName());
        reply.expect(2, To.GREETING);
        extensions = Extensions.of(reply);
    }

    /**
     * Sends one message to one recipient.
     *
     * @param sender empty for the null path
     * @param content streamed as it is, but for dot-stuffing
     * @throws IOException when the connection broke before the final dot
     */
    public void send(String sender, String recipient, ByteSource content) throws IOException, SmtpFault {
        String parameters = parameters(sender, recipient, content);
        SmtpReply from = link.command("MAIL FROM:<" + sender + ">" + parameters);
        if (sender.isEmpty() && from.code() / 100 == 5) {
            throw new NullSenderRefused(from);
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

    /** The parameters of MAIL FROM; refuses early what this server can't take (RFC 1870, 6152, 6531). */
    private String parameters(String sender, String recipient, ByteSource content) throws IOException, SmtpFault {
        ContentScan scan = ContentScan.of(content);
        if (scan.unsafeLine()) {
            throw SmtpFault.unlessForwarded(Failure.FORBIDDEN_LINE_END.with());
        }
        boolean ascii = Extensions.isAscii(sender) && Extensions.isAscii(recipient);
        if (!ascii && !extensions.has("SMTPUTF8")) {
            String beyond = Extensions.isAscii(recipient) ? sender : recipient;
            throw new SmtpFault(
                    SmtpFault.Kind.PERMANENT,
                    Trouble.of(Failure.ADDRESS_BEYOND_ASCII_NOT_TAKEN.with(beyond), Advice.CHECK_ADDRESS));
        }
        if (scan.eightBit() && !extensions.has("8BITMIME")) {
            throw SmtpFault.unlessForwarded(Failure.EIGHT_BIT_NOT_TAKEN.with());
        }
        if (scan.eightBitHeader() && !extensions.has("SMTPUTF8")) {
            throw SmtpFault.unlessForwarded(Failure.HEADER_BEYOND_ASCII_NOT_TAKEN.with());
        }
        return size(content.size())
                + (scan.eightBit() ? " BODY=8BITMIME" : "")
                + (ascii && !scan.eightBitHeader() ? "" : " SMTPUTF8");
    }

    private String size(long size) throws SmtpFault {
        OptionalLong largest = extensions.largest();
        if (largest.isPresent() && size > largest.getAsLong()) {
            throw new SmtpFault(
                    SmtpFault.Kind.PERMANENT,
                    Trouble.of(Failure.LARGER_THAN_SERVER_TAKES.with(size, largest.getAsLong()), Advice.SEND_A_LINK));
        }
        return extensions.has("SIZE") ? " SIZE=" + size : "";
    }

    /** From the final dot on nobody can know what a broken connection means. */
    private void finish(DotStuffing content) throws SmtpFault {
        try {
            content.end();
            link.out().flush();
            link.read().expect(2, To.CONTENT);
        } catch (IOException broken) {
            throw new SmtpFault(SmtpFault.Kind.UNKNOWN, Trouble.of(Failure.BROKE_BEFORE_CONFIRMED.with()));
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
