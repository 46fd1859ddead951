package app.jubek.demo.garden;

/** What the simulated mail server of the gardens says about where a message comes from (RFC 8601). */
public final class SenderChecks {
    private static final String OWN = "ostrel-gardens.example";

    /** Somebody writes from elsewhere under this address of a school. */
    static final String FORGED = "eva.holmgard@birkhall-school.example";

    /** One domain in so many signs nothing. */
    private static final int UNSIGNED = 4;

    private SenderChecks() {}

    /** The value of Authentication-Results for a return path; empty for our own mail and for the null path. */
    public static String of(String returnPath) {
        String domain = returnPath.substring(returnPath.indexOf('@') + 1);
        if (domain.isEmpty() || domain.equals(OWN)) {
            return "";
        }
        if (returnPath.equals(FORGED)) {
            return "mx." + OWN + "; spf=fail smtp.mailfrom=" + domain + "; dkim=none";
        }
        boolean signs = Math.floorMod(domain.hashCode(), UNSIGNED) != 0;
        return "mx." + OWN + "; spf=pass smtp.mailfrom=" + domain + "; dkim="
                + (signs ? "pass header.d=" + domain : "none");
    }
}
