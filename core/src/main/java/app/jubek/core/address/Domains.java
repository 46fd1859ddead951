package app.jubek.core.address;

import com.ibm.icu.text.IDNA;
import java.util.Locale;

/** Domains in the form in which they are compared: the A-label of UTS 46, non-transitional, in lower case. */
public final class Domains {
    private static final IDNA UTS46 =
            IDNA.getUTS46Instance(IDNA.NONTRANSITIONAL_TO_ASCII | IDNA.NONTRANSITIONAL_TO_UNICODE);

    private Domains() {}

    /** The A-label; what UTS 46 refuses stays as it is, in lower case. */
    public static String toAscii(String domain) {
        String plain = domain.strip();
        if (plain.endsWith(".")) {
            plain = plain.substring(0, plain.length() - 1);
        }
        if (isPlain(plain)) {
            return plain.toLowerCase(Locale.ROOT);
        }
        IDNA.Info info = new IDNA.Info();
        StringBuilder ascii = new StringBuilder();
        UTS46.nameToASCII(plain, ascii, info);
        return (info.hasErrors() ? plain : ascii.toString()).toLowerCase(Locale.ROOT);
    }

    /** In ASCII and without A-labels: UTS 46 does nothing more than to make it lower case. */
    private static boolean isPlain(String domain) {
        for (int i = 0; i < domain.length(); i++) {
            if (domain.charAt(i) >= 0x80) {
                return false;
            }
        }
        return !domain.regionMatches(true, 0, "xn--", 0, 4)
                && !domain.toLowerCase(Locale.ROOT).contains(".xn--");
    }

    /** Whether a domain is the other, or stands below it. Both as A-labels. */
    public static boolean isAtOrBelow(String domain, String above) {
        return domain.equals(above) || domain.endsWith("." + above);
    }

    /**
     * A domain a person typed, perhaps with a leading "@".
     *
     * @throws IllegalArgumentException when it can't be a domain
     */
    public static String typed(String written) {
        String plain = written.strip();
        String domain = toAscii(plain.startsWith("@") ? plain.substring(1) : plain);
        if (domain.isEmpty() || !domain.matches("[a-z0-9_-]+(\\.[a-z0-9_-]+)*")) {
            throw new IllegalArgumentException(
                    "\"" + written + "\" is not a domain: write it like birkhall-school.example");
        }
        return domain;
    }
}
