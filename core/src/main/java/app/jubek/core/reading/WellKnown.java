package app.jubek.core.reading;

import app.jubek.core.address.MailAddress;
import java.util.Set;

/** Local parts behind which nobody reads an answer. */
public final class WellKnown {
    private static final Set<String> SYSTEM = Set.of("mailer-daemon", "listserv", "majordomo");
    private static final Set<String> NO_REPLY = Set.of("noreply", "no-reply", "donotreply", "do-not-reply");

    private WellKnown() {}

    /** Mail systems and lists (RFC 5230 §4.6). */
    public static boolean isSystem(MailAddress address) {
        String user = address.user();
        return SYSTEM.contains(user)
                || user.startsWith("owner-")
                || user.endsWith("-request")
                || user.endsWith("-bounces")
                || user.endsWith("-owner");
    }

    /** Addresses that say so themselves (common practice). */
    public static boolean isNoReply(MailAddress address) {
        return NO_REPLY.contains(address.user());
    }

    public static boolean isPostmaster(MailAddress address) {
        return address.user().equals("postmaster");
    }
}
