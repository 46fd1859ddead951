package app.jubek.core.reading;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.Comments;
import app.jubek.core.message.HeaderField;
import app.jubek.core.message.ReturnPath;
import app.jubek.core.message.Role;
import app.jubek.core.message.SentBy;
import app.jubek.core.text.Pieces;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Who or what sent a message, from its fields, its return path and its kinds of part. */
public final class Origin {
    private static final Set<String> LIST_FIELDS = Set.of(
            "list-id", "list-post", "list-help", "list-unsubscribe", "list-subscribe", "list-owner", "list-archive");
    private static final Set<String> BULK = Set.of("bulk", "junk", "list");

    private Origin() {}

    static Set<SentBy> of(
            List<HeaderField> fields,
            ReturnPath path,
            Set<String> mediaTypes,
            Map<Role, List<MailAddress>> addresses,
            BounceSigns bounce) {
        Set<SentBy> by = EnumSet.noneOf(SentBy.class);
        autoSubmitted(fields)
                .ifPresent(
                        how -> by.add(how.equals("auto-replied") ? SentBy.AUTOMATIC_REPLY : SentBy.AUTOMATIC_NOTICE));
        if (fields.stream().anyMatch(f -> isListField(f.name()))) {
            by.add(SentBy.LIST);
        }
        if (precedence(fields).isPresent()) {
            by.add(SentBy.BULK);
        }
        List<MailAddress> from = addresses.getOrDefault(Role.FROM, List.of());
        if (path instanceof ReturnPath.Null || mediaTypes.contains("multipart/report") || bounce.areIn(from, path)) {
            by.add(SentBy.BOUNCE);
        }
        if (mediaTypes.contains("text/calendar")) {
            by.add(SentBy.CALENDAR);
        }
        boolean system = from.stream().anyMatch(WellKnown::isSystem);
        if (system && by.isEmpty()) {
            by.add(SentBy.AUTOMATIC_NOTICE);
        }
        if (by.isEmpty()) {
            by.add(SentBy.PERSON);
        }
        return by;
    }

    /** The token of Auto-Submitted unless it is "no"; comments and parameters are allowed (RFC 3834 §5). */
    public static Optional<String> autoSubmitted(List<HeaderField> fields) {
        return fields.stream()
                .filter(f -> f.is("Auto-Submitted"))
                .map(f -> token(f.value()))
                .filter(token -> !token.equals("no"))
                .findFirst();
    }

    /** The value of Precedence where it names mass mail: bulk, list or junk (common practice). */
    public static Optional<String> precedence(List<HeaderField> fields) {
        return fields.stream()
                .filter(f -> f.is("Precedence"))
                .map(f -> token(f.value()))
                .filter(BULK::contains)
                .findFirst();
    }

    /** The fields of RFC 2369 and RFC 2919. */
    public static boolean isListField(String name) {
        return LIST_FIELDS.contains(name.toLowerCase(Locale.ROOT));
    }

    private static String token(String value) {
        return Pieces.before(Comments.removed(value), ';').strip().toLowerCase(Locale.ROOT);
    }
}
