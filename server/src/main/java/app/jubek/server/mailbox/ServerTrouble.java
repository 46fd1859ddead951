package app.jubek.server.mailbox;

import java.net.UnknownHostException;
import java.security.cert.CertificateExpiredException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javax.net.ssl.SSLException;

/** Why a mail server can't be worked with, in plain words and with what to do. */
public final class ServerTrouble {
    private ServerTrouble() {}

    public static String words(Throwable broken, MailServer server) {
        List<Throwable> causes = causes(broken);
        String told = String.join(
                " ", causes.stream().map(c -> String.valueOf(c.getMessage())).toList());
        String name = "The mail server " + server.host();
        if (has(causes, CertificateExpiredException.class) || told.contains("validity check failed")) {
            return name + " shows a certificate that has expired, so no password was sent to it. Ask whoever runs it"
                    + " to renew it.";
        }
        if (told.contains("STARTTLS")) {
            return name + " offers no encryption (STARTTLS), so no password was sent to it. Check host and port, or"
                    + " ask whoever runs it.";
        }
        if (has(causes, SSLException.class)) {
            return name + " can't be trusted: " + told(causes) + ". Check the host's name, or ask whoever runs it.";
        }
        if (has(causes, UnknownHostException.class)) {
            return name + " is not known by that name. Check the host in the settings.";
        }
        if (told.toLowerCase(Locale.ROOT).contains("too many")) {
            return name + " takes no more connections for this mailbox just now. Jubek tries again by itself; close"
                    + " other mail programs if it stays so.";
        }
        return name + " can't be reached: " + told(causes) + ". Jubek tries again by itself.";
    }

    /** The innermost cause in its own words. */
    public static String cause(Throwable broken) {
        return told(causes(broken));
    }

    private static String told(List<Throwable> causes) {
        Throwable root = causes.get(causes.size() - 1);
        return root.getMessage() == null ? root.getClass().getSimpleName() : root.getMessage();
    }

    static boolean has(List<Throwable> causes, Class<?> type) {
        return causes.stream().anyMatch(type::isInstance);
    }

    static List<Throwable> causes(Throwable broken) {
        List<Throwable> all = new ArrayList<>();
        for (Throwable at = broken; at != null && !all.contains(at); at = at.getCause()) {
            all.add(at);
        }
        return all;
    }
}
