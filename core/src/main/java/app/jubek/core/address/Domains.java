package app.jubek.core.address;

import app.jubek.core.text.Pieces;
import com.ibm.icu.text.IDNA;
import java.util.Locale;

/** Domains in the form in which they are compared: the A-label of UTS 46, non-transitional, in lower case. */
public final class Domains {
    private static final IDNA UTS46 =
            IDNA.getUTS46Instance(IDNA.NONTRANSITIONAL_TO_ASCII | IDNA.NONTRANSITIONAL_TO_UNICODE);

    /** No domain is longer (RFC 5321 §4.5.3.1.2), so a longer one is none and stays as it is. */
    private static final int LONGEST = 255;

    private static final int LONGEST_LABEL = 63;

    private Domains() {}

    /** The A-label; what UTS 46 refuses stays as it is, in lower case. */
    public static String toAscii(String domain) {
        String plain = domain.strip();
        if (plain.endsWith(".")) {
            plain = plain.substring(0, plain.length() - 1);
        }
        if (isPlain(plain) || plain.length() > LONGEST) {
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
        if (!isDomain(domain)) {
            throw new IllegalArgumentException(
                    "\"" + written + "\" is not a domain: write it like birkhall-school.example");
        }
        return domain;
    }

    private static boolean isDomain(String domain) {
        return domain.length() <= LONGEST
                && Pieces.between(domain, '.').stream()
                        .allMatch(label -> !label.isEmpty()
                                && label.length() <= LONGEST_LABEL
                                && label.chars().allMatch(Domains::isOfLabel));
    }

    private static boolean isOfLabel(int sign) {
        return sign >= 'a' && sign <= 'z' || sign >= '0' && sign <= '9' || sign == '-' || sign == '_';
    }
}
