package app.jubek.core.bounce;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.text.Pieces;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What a bounce without a report says in words. There is no standard for it: the phrases are common practice, from memory. */
record Prose(String subject, String text, List<String> named) {
    private static final int BEGINNING = 8_000;
    private static final int MOST = 50;

    private static final List<String> LATE = List.of(
            "delayed",
            "still being",
            "will keep trying",
            "will be retried",
            "will continue",
            "not yet been",
            "verzögert",
            "noch nicht",
            "weiterhin versucht",
            "retard",
            "pas encore",
            "sera retent",
            "retrasad",
            "todavía no",
            "aún no",
            "seguirá intentando");

    private static final List<String> PASSED_ON = List.of("successfully relayed", "was relayed", "has been relayed");

    /** Before the original, which may be quoted below. */
    private static final List<String> ORIGINAL =
            List.of("received: ", "return-path: ", "-- original message", "--- this is a copy", "--- below this line");

    static Prose of(ReadMessage message) {
        String all = String.join("\n", message.texts());
        String text = all.substring(0, Math.min(all.length(), BEGINNING)).toLowerCase(Locale.ROOT);
        int end = ORIGINAL.stream()
                .mapToInt(text::indexOf)
                .filter(at -> at > 0)
                .min()
                .orElse(text.length());
        return new Prose(
                message.subject().toLowerCase(Locale.ROOT),
                text.substring(0, end),
                message.values("X-Failed-Recipients"));
    }

    /** For each address that is named; one without an address where none is. Nothing where it tells of no delivery. */
    List<Delivery> deliveries() {
        Delivery.Outcome outcome = outcome();
        Set<String> addresses = addresses();
        return addresses.isEmpty()
                ? List.of(new Delivery("", outcome, cause()))
                : addresses.stream()
                        .map(address -> new Delivery(address, outcome, cause()))
                        .toList();
    }

    private Delivery.Outcome outcome() {
        String told = subject + "\n" + text;
        if (PASSED_ON.stream().anyMatch(told::contains)) {
            return Delivery.Outcome.RELAYED;
        }
        return LATE.stream().anyMatch(told::contains) ? Delivery.Outcome.DELAYED : Delivery.Outcome.FAILED;
    }

    private Set<String> addresses() {
        Set<String> found = new LinkedHashSet<>();
        Stream<String> places = named.isEmpty() ? Stream.of(text) : named.stream();
        places.flatMap(place -> Pieces.runs(place.toLowerCase(Locale.ROOT), Prose::isOfAddress).stream())
                .map(Prose::trimmed)
                .filter(Prose::isAddress)
                .limit(MOST)
                .forEach(found::add);
        return found;
    }

    private static boolean isOfAddress(int sign) {
        return Character.isLetterOrDigit(sign) || "@._+-'=/".indexOf(sign) >= 0;
    }

    private static String trimmed(String run) {
        return Pieces.withoutBeginning(
                Pieces.withoutEnd(run, sign -> !Character.isLetterOrDigit(sign)),
                sign -> !Character.isLetterOrDigit(sign));
    }

    private static boolean isAddress(String run) {
        int at = run.indexOf('@');
        return at > 0 && at == run.lastIndexOf('@') && run.indexOf('.', at) > at + 1;
    }

    /** The line with a reply code (RFC 5321 §4.2) or a status (RFC 3463), else the first that names a reason. */
    private String cause() {
        return Pieces.between(text, '\n').stream()
                .filter(Prose::hasCode)
                .findFirst()
                .or(() -> Optional.of(""))
                .map(StatusFields::shortened)
                .orElse("");
    }

    private static boolean hasCode(String line) {
        return Pieces.runs(line, sign -> sign >= '0' && sign <= '9' || sign == '.').stream()
                .anyMatch(run -> (run.length() == 3 && (run.startsWith("5") || run.startsWith("4")))
                        || run.length() >= 5 && (run.startsWith("5.") || run.startsWith("4.")));
    }
}
