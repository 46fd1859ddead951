package app.jubek.core.rule;

import com.google.re2j.Pattern;

/** Which rule, over all its versions. */
public record RuleId(String value) {
    private static final Pattern ALLOWED = Pattern.compile("[A-Za-z0-9-]{1,64}");

    public RuleId {
        if (!ALLOWED.matches(value)) {
            throw new IllegalArgumentException(
                    "a rule's id is 1 to 64 letters, digits and hyphens, not \"" + value + "\"");
        }
    }
}
