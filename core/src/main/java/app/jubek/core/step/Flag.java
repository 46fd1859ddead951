package app.jubek.core.step;

import app.jubek.core.wording.Code;
import com.google.re2j.Pattern;
import java.util.Arrays;
import java.util.Optional;

/** IMAP system flags that a rule may set (RFC 9051 §2.3.2); other marks are keywords, our tags. */
public enum Flag implements Code {
    SEEN("\\Seen"),
    FLAGGED("\\Flagged"),
    ANSWERED("\\Answered"),
    DRAFT("\\Draft"),
    DELETED("\\Deleted");

    /** Atoms of RFC 9051, within reason. */
    private static final Pattern KEYWORD = Pattern.compile("[A-Za-z0-9$][A-Za-z0-9$_.:-]{0,63}");

    private final String imap;

    Flag(String imap) {
        this.imap = imap;
    }

    public String imap() {
        return imap;
    }

    static Optional<Flag> of(String imap) {
        return Arrays.stream(values())
                .filter(f -> f.imap.equalsIgnoreCase(imap))
                .findFirst();
    }

    /** Whether a mark is a system flag rather than a tag. */
    public static boolean isSystem(String mark) {
        return mark.startsWith("\\");
    }

    static String checked(String mark) {
        Optional<Flag> system = of(mark);
        if (system.isPresent()) {
            return system.get().imap;
        }
        if (!KEYWORD.matches(mark)) {
            throw new IllegalArgumentException(
                    isSystem(mark)
                            ? "there is no flag \"" + mark + "\" that a rule may set"
                            : "a tag has letters, digits, $ - _ . : only, at most 64: \"" + mark + "\"");
        }
        return mark;
    }

    @Override
    public String id() {
        return "FLAG_" + name();
    }
}
