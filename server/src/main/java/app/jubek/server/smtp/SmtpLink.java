package app.jubek.server.smtp;

import app.jubek.server.mailbox.MailServer;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Inet6Address;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import javax.net.ssl.SSLParameters;
import javax.net.ssl.SSLSocket;
import javax.net.ssl.SSLSocketFactory;

/** Lines and bytes to and from a mail server, in plain or by TLS with a checked certificate. */
final class SmtpLink implements AutoCloseable {
    private static final int CONNECT_LIMIT_MS = 15_000;
    private static final int REPLY_LIMIT_MS = 60_000;
    private static final int MAX_REPLY_LINE = 4_096;

    private final MailServer server;
    private Socket socket;
    private InputStream in;
    private OutputStream out;

    private SmtpLink(MailServer server, Socket socket) throws IOException {
        this.server = server;
        this.socket = socket;
        attach();
    }

    static SmtpLink to(MailServer server) throws IOException {
        Socket plain = new Socket();
        try {
            plain.connect(new InetSocketAddress(server.host(), server.port()), CONNECT_LIMIT_MS);
            plain.setSoTimeout(REPLY_LIMIT_MS);
            plain.setTcpNoDelay(true);
            return new SmtpLink(server, server.isImplicitTls() ? tls(plain, server) : plain);
        } catch (IOException failed) {
            plain.close();
            throw failed;
        }
    }

    void secure() throws IOException {
        socket = tls(socket, server);
        attach();
    }

    /** This end of the connection as an address literal: it names no host that nobody knows (RFC 5321 §4.1.3, §4.1.4). */
    String ownName() {
        String address = socket.getLocalAddress().getHostAddress();
        int zone = address.indexOf('%');
        String bare = zone < 0 ? address : address.substring(0, zone);
        return socket.getLocalAddress() instanceof Inet6Address ? "[IPv6:" + bare + "]" : "[" + bare + "]";
    }

    OutputStream out() {
        return out;
    }

    SmtpReply command(String line) throws IOException {
        out.write((line + "\r\n").getBytes(StandardCharsets.UTF_8));
        out.flush();
        return read();
    }

    SmtpReply read() throws IOException {
        List<String> lines = new ArrayList<>();
        while (true) {
            String line = line();
            if (line.length() < 3 || !line.substring(0, 3).chars().allMatch(Character::isDigit)) {
                throw new IOException("the mail server answered \"" + line + "\"");
            }
            lines.add(line.length() > 4 ? line.substring(4) : "");
            if (line.length() == 3 || line.charAt(3) != '-') {
                return new SmtpReply(Integer.parseInt(line.substring(0, 3)), lines);
            }
        }
    }

    private String line() throws IOException {
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        for (int next = in.read(); next != '\n'; next = in.read()) {
            if (next < 0) {
                throw new IOException("the mail server closed the connection");
            }
            if (line.size() > MAX_REPLY_LINE) {
                throw new IOException("the mail server's answer has no end");
            }
            if (next != '\r') {
                line.write(next);
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

    @Override
    public void close() throws IOException {
        socket.close();
    }
}
