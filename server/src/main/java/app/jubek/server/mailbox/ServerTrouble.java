package app.jubek.server.mailbox;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
import java.net.UnknownHostException;
import java.security.cert.CertPathValidatorException;
import java.security.cert.CertificateExpiredException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javax.net.ssl.SSLException;

/** Why a mail server can't be worked with, and what to do. */
public final class ServerTrouble {
    private ServerTrouble() {}

    /** What an exception of a library means; it is known by its type, and what a server says by its words. */
    public static Trouble of(Throwable broken, MailServer server) {
        List<Throwable> causes = causes(broken);
        String host = server.host();
        if (has(causes, CertificateExpiredException.class) || causes.stream().anyMatch(ServerTrouble::isExpired)) {
            return Trouble.of(Failure.CERTIFICATE_EXPIRED.with(host), Advice.RENEW_CERTIFICATE);
        }
        if (has(causes, NoEncryption.class)) {
            return Trouble.of(Failure.NO_ENCRYPTION.with(host), Advice.CHECK_HOST_AND_PORT);
        }
        if (has(causes, SSLException.class)) {
            return Trouble.of(Failure.NOT_TRUSTED.with(host, told(causes)), Advice.CHECK_HOST_NAME);
        }
        if (has(causes, UnknownHostException.class)) {
            return Trouble.of(Failure.HOST_UNKNOWN.with(host), Advice.CORRECT_HOST);
        }
        if (causes.stream().anyMatch(ServerTrouble::isTooMany)) {
            return Trouble.of(Failure.TOO_MANY_CONNECTIONS.with(host), Advice.CLOSE_OTHER_PROGRAMS);
        }
        return Trouble.of(Failure.UNREACHABLE.with(host, told(causes)), Advice.TRIES_AGAIN);
    }

    private static boolean isExpired(Throwable cause) {
        return cause instanceof CertPathValidatorException invalid
                && invalid.getReason() == CertPathValidatorException.BasicReason.EXPIRED;
    }

    /** A server says so in its own words (common practice). */
    private static boolean isTooMany(Throwable cause) {
        return cause.getMessage() != null
                && cause.getMessage().toLowerCase(Locale.ROOT).contains("too many");
    }

    /** The innermost cause in its own words. */
    public static String cause(Throwable broken) {
        return told(causes(broken));
    }

    private static String told(List<Throwable> causes) {
        Throwable root = causes.get(causes.size() - 1);
        return root.getMessage() == null ? root.getClass().getSimpleName() : root.getMessage();
    }

    public static boolean has(List<Throwable> causes, Class<?> type) {
        return causes.stream().anyMatch(type::isInstance);
    }

    public static List<Throwable> causes(Throwable broken) {
        List<Throwable> all = new ArrayList<>();
        for (Throwable at = broken; at != null && !all.contains(at); at = at.getCause()) {
            all.add(at);
        }
        return all;
    }
}
