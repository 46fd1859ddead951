package app.jubek.core.address;

import app.jubek.core.text.Unsafe;
import java.util.Locale;
import java.util.Optional;

/**
 * One address (RFC 5322 §3.4.1).
 *
 * @param name the displayed name, decoded; empty when there is none
 * @param local the part before the last "@", as written
 * @param domain the part after it, as {@link Domains#toAscii}; empty when the message gave none
 */
public record MailAddress(String name, String local, String domain) {
    private static final String ATOM_SIGNS = "!#$%&'*+-/=?^_`{|}~.";
    private static final int LONGEST = 320;

    public MailAddress {
        domain = Domains.toAscii(domain);
    }

    /**
     * A bare address as a person types it, or as an envelope has it: letters, digits and signs of atoms (RFC 5321 §4.1.2,
     * RFC 6531 §3.3), no quoted words and no numbers in place of a domain.
     *
     * @throws IllegalArgumentException when nothing can be sent to it
     */
    public static MailAddress of(String written) {
        String plain = written.strip();
        int at = plain.lastIndexOf('@');
        boolean whole = at > 0 && at < plain.length() - 1 && plain.length() <= LONGEST;
        if (!whole || !plain.substring(0, at).codePoints().allMatch(MailAddress::isOfAtom)) {
            throw new IllegalArgumentException(
                    "\"" + written + "\" is not a mail address: write it like office@birkhall-school.example");
        }
        return new MailAddress("", plain.substring(0, at), Domains.typed(plain.substring(at + 1)));
    }

    /** An address found in a text; empty where it is none. */
    public static Optional<MailAddress> found(String written) {
        try {
            return Optional.of(of(written));
        } catch (IllegalArgumentException notOne) {
            return Optional.empty();
        }
    }

    private static boolean isOfAtom(int sign) {
        boolean ascii = sign >= 'a' && sign <= 'z' || sign >= 'A' && sign <= 'Z' || sign >= '0' && sign <= '9';
        return ascii
                || ATOM_SIGNS.indexOf(sign) >= 0
                || sign >= 0xA0 && !Unsafe.is(sign) && !Character.isSpaceChar(sign);
    }

    /** Whether mail can be sent to it; what is read from a message need not be an address of that sort. */
    public boolean canBeSentTo() {
        return found(address()).filter(this::sameAs).isPresent();
    }

    public MailAddress named(String displayed) {
        return new MailAddress(displayed, local, domain);
    }

    /** The address as it is sent and shown. */
    public String address() {
        return domain.isEmpty() ? local : local + "@" + domain;
    }

    /** The address as it is compared: letter case of the local part does not matter (common practice). */
    public String key() {
        return address().toLowerCase(Locale.ROOT);
    }

    /** The local part without its detail after "+" (RFC 5233 §4), lower case. */
    public String user() {
        String lower = local.toLowerCase(Locale.ROOT);
        int plus = lower.indexOf('+');
        return plus > 0 ? lower.substring(0, plus) : lower;
    }

    /** What stands after the first "+" of the local part (RFC 5233 §4); empty when there is none. */
    public Optional<String> detail() {
        int plus = local.indexOf('+');
        return plus < 0 ? Optional.empty() : Optional.of(local.substring(plus + 1));
    }

    public boolean sameAs(MailAddress other) {
        return key().equals(other.key());
    }

    /** The displayed name, or the address where there is none. */
    public String shown() {
        return name.isBlank() ? address() : name;
    }

    /** The displayed name with the address, as {@code Anna <anna@school.example>}; the address alone where there is none. */
    public String inFull() {
        return name.isBlank() ? address() : name + " <" + address() + ">";
    }
}
