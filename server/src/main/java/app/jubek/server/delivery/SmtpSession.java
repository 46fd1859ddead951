package app.jubek.server.delivery;

import app.jubek.server.mailbox.MailServer;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import javax.net.ssl.SSLParameters;
import javax.net.ssl.SSLSocket;
import javax.net.ssl.SSLSocketFactory;

/**
 * One SMTP connection (RFC 5321) that sends octets as they are. The usual libraries rewrite Message-IDs, line ends or
 * encodings on the way out, and do not tell whether a broken connection broke before or after the final dot.
 */
final class SmtpSession implements AutoCloseable {
    private static final int CONNECT_LIMIT_MS = 15_000;
    private static final int REPLY_LIMIT_MS = 60_000;
    private static final int MAX_REPLY_LINE = 4_096;

    private Socket socket;
    private InputStream in;
    private OutputStream out;
    private List<String> extensions = List.of();

    private SmtpSession(Socket socket) throws IOException {
        this.socket = socket;
        attach();
    }

    static SmtpSession open(MailServer server, String user, String password) throws IOException, SmtpFault {
        Socket plain = new Socket();
        try {
            plain.connect(new InetSocketAddress(server.host(), server.port()), CONNECT_LIMIT_MS);
            plain.setSoTimeout(REPLY_LIMIT_MS);
            SmtpSession session = new SmtpSession(server.isImplicitTls() ? tls(plain, server) : plain);
            session.greet(server, user, password);
            return session;
        } catch (IOException | SmtpFault failed) {
            plain.close();
            throw failed;
        }
    }

    private void greet(MailServer server, String user, String password) throws IOException, SmtpFault {
        expect(2, read());
        hello();
        if (!server.isLoopback() && !server.isImplicitTls()) {
            expect(2, command("STARTTLS"));
            socket = tls(socket, server);
            attach();
            hello();
        }
        boolean asksForPassword = extensions.stream().anyMatch(e -> e.startsWith("AUTH") && e.contains("PLAIN"));
        if (asksForPassword) {
            byte[] plain = ("\0" + user + "\0" + password).getBytes(StandardCharsets.UTF_8);
            expect(2, command("AUTH PLAIN " + Base64.getEncoder().encodeToString(plain)));
        }
    }

    private void hello() throws IOException, SmtpFault {
        Reply reply = command("EHLO jubek.localdomain");
        expect(2, reply);
        extensions = reply.lines().stream().map(l -> l.toUpperCase(Locale.ROOT)).toList();
    }

    /**
     * Sends one message to one recipient.
     *
     * @param sender empty for the null path
     * @param parts streamed one after the other, unchanged but for dot-stuffing
     */
    void send(String sender, String recipient, List<byte[]> parts) throws IOException, SmtpFault {
        refuseUnsafeLines(parts);
        boolean eightBit = parts.stream().anyMatch(SmtpSession::hasEightBit);
        String body = "";
        if (eightBit) {
            if (extensions.stream().noneMatch(e -> e.equals("8BITMIME"))) {
                throw new SmtpFault(
                        SmtpFault.Kind.PERMANENT,
                        "the mail server takes no 8-bit content and this message has some; forward it instead");
            }
            body = " BODY=8BITMIME";
        }
        Reply from = command("MAIL FROM:<" + sender + ">" + body);
        if (sender.isEmpty() && from.code() / 100 == 5) {
            throw new NullSenderRefused("the mail server answered " + from.text());
        }
        expect(2, from);
        expect(2, command("RCPT TO:<" + recipient + ">"));
        expect(3, command("DATA"));
        DotStuffing content = new DotStuffing(out);
        content.write(parts);
        out.flush();
        finish(content);
    }

    /** From the final dot on nobody can know what a broken connection means. */
    private void finish(DotStuffing content) throws SmtpFault {
        try {
            content.end();
            out.flush();
            expect(2, read());
        } catch (IOException broken) {
            throw new SmtpFault(
                    SmtpFault.Kind.UNKNOWN,
                    "the connection broke after the message was sent and before it was confirmed");
        }
    }

    @Override
    public void close() {
        try (Socket closing = socket) {
            out.write("QUIT\r\n".getBytes(StandardCharsets.US_ASCII));
            out.flush();
        } catch (IOException ignored) {
            // What was to be said has been said; how the other side hangs up changes nothing.
        }
    }

    private record Reply(int code, List<String> lines) {
        String text() {
            return code + " " + String.join(" ", lines);
        }
    }

    private Reply command(String line) throws IOException {
        out.write((line + "\r\n").getBytes(StandardCharsets.UTF_8));
        out.flush();
        return read();
    }

    private static void expect(int firstDigit, Reply reply) throws SmtpFault {
        int digit = reply.code() / 100;
        if (digit != firstDigit) {
            SmtpFault.Kind kind = digit == 5 ? SmtpFault.Kind.PERMANENT : SmtpFault.Kind.TEMPORARY;
            throw new SmtpFault(kind, "the mail server answered " + reply.text());
        }
    }

    private Reply read() throws IOException {
        List<String> lines = new ArrayList<>();
        while (true) {
            String line = line();
            if (line.length() < 3 || !line.substring(0, 3).chars().allMatch(Character::isDigit)) {
                throw new IOException("the mail server answered \"" + line + "\"");
            }
            lines.add(line.length() > 4 ? line.substring(4) : "");
            if (line.length() == 3 || line.charAt(3) != '-') {
                return new Reply(Integer.parseInt(line.substring(0, 3)), lines);
            }
        }
    }

    private String line() throws IOException {
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        for (int octet = in.read(); octet != '\n'; octet = in.read()) {
            if (octet < 0) {
                throw new IOException("the mail server closed the connection");
            }
            if (line.size() > MAX_REPLY_LINE) {
                throw new IOException("the mail server's answer has no end");
            }
            if (octet != '\r') {
                line.write(octet);
            }
        }
        return line.toString(StandardCharsets.UTF_8);
    }

    private void attach() throws IOException {
        in = new BufferedInputStream(socket.getInputStream());
        out = new BufferedOutputStream(socket.getOutputStream(), 1 << 16);
    }

    private static Socket tls(Socket plain, MailServer server) throws IOException {
        SSLSocketFactory factory = (SSLSocketFactory) SSLSocketFactory.getDefault();
        SSLSocket secure = (SSLSocket) factory.createSocket(plain, server.host(), server.port(), true);
        SSLParameters parameters = secure.getSSLParameters();
        parameters.setEndpointIdentificationAlgorithm("HTTPS");
        secure.setSSLParameters(parameters);
        secure.startHandshake();
        return secure;
    }

    private static boolean hasEightBit(byte[] octets) {
        for (byte octet : octets) {
            if (octet < 0) {
                return true;
            }
        }
        return false;
    }

    /** A dot after a bare line end can be taken for the end of the message by some servers (RFC 5321 §4.1.1.4). */
    private static void refuseUnsafeLines(List<byte[]> parts) throws SmtpFault {
        for (byte[] octets : parts) {
            for (int i = 1; i < octets.length; i++) {
                boolean bareLf = octets[i - 1] == '\n' && (i < 2 || octets[i - 2] != '\r');
                boolean bareCr = octets[i - 1] == '\r';
                if (octets[i] == '.' && (bareLf || bareCr)) {
                    throw new SmtpFault(
                            SmtpFault.Kind.PERMANENT,
                            "a line end in this message is one SMTP forbids, so it can't leave unchanged; forward it instead");
                }
            }
        }
    }
}
