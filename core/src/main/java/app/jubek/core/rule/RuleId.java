package app.jubek.core.rule;

/** Which rule, over all its versions. */
public record RuleId(String value) {
    public RuleId {
        if (!value.matches("[A-Za-z0-9-]{1,64}")) {
            throw new IllegalArgumentException(
                    "a rule's id is 1 to 64 letters, digits and hyphens, not \"" + value + "\"");
        }
    }
}
