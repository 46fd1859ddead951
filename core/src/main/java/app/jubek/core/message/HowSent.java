package app.jubek.core.message;

import java.util.Locale;
import java.util.Set;

/** The fields that say how a message was sent (RFC 3834, RFC 2919, RFC 2369), for who makes another like it. */
public final class HowSent {
    private static final Set<String> FIELDS = Set.of(
            "auto-submitted",
            "precedence",
            "list-id",
            "list-unsubscribe",
            "list-post",
            "x-auto-response-suppress",
            "importance",
            "x-priority");

    private HowSent() {}

    public static boolean isSaidBy(HeaderField field) {
        return FIELDS.contains(field.name().toLowerCase(Locale.ROOT));
    }
}
