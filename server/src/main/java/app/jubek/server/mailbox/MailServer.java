package app.jubek.server.mailbox;

import java.util.Set;

/** Where a mail server listens. Plain text is spoken only on loopback; elsewhere TLS with a checked certificate. */
public record MailServer(String host, int port) {
    private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "::1");
    private static final Set<Integer> IMPLICIT_TLS = Set.of(993, 465);

    public boolean isLoopback() {
        return LOOPBACK.contains(host);
    }

    /** TLS from the first byte; other ports upgrade by STARTTLS. */
    public boolean isImplicitTls() {
        return IMPLICIT_TLS.contains(port);
    }
}
