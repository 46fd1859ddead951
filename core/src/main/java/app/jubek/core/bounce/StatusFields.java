package app.jubek.core.bounce;

import app.jubek.core.text.Pieces;
import app.jubek.core.text.WhiteSpace;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Fields in groups, as in a delivery status (RFC 3464 §2.1) or a header. */
final class StatusFields {
    private static final int MOST_GROUPS = 200;
    private static final int LONGEST_CAUSE = 300;

    private StatusFields() {}

    /** One for each group of fields that is about a recipient. */
    static List<Delivery> deliveries(String text) {
        return groups(text).stream()
                .filter(group -> group.containsKey("final-recipient")
                        || group.containsKey("original-recipient")
                        || group.containsKey("action"))
                .map(StatusFields::delivery)
                .toList();
    }

    private static Delivery delivery(Map<String, String> group) {
        String recipient = Optional.ofNullable(group.get("original-recipient"))
                .or(() -> Optional.ofNullable(group.get("final-recipient")))
                .orElse("");
        String status = group.getOrDefault("status", "");
        String cause = Optional.ofNullable(group.get("diagnostic-code"))
                .map(StatusFields::afterType)
                .filter(said -> !said.isEmpty())
                .orElse(status);
        return new Delivery(address(recipient), outcome(group.getOrDefault("action", ""), status), shortened(cause));
    }

    /** RFC 3464 §2.3.3; by the class of the status (RFC 3463 §3.1) where no action is named. */
    private static Delivery.Outcome outcome(String action, String status) {
        String what = Pieces.before(action, ' ').toLowerCase(Locale.ROOT);
        return switch (what) {
            case "failed" -> Delivery.Outcome.FAILED;
            case "delayed" -> Delivery.Outcome.DELAYED;
            case "relayed", "expanded", "delivered" -> Delivery.Outcome.RELAYED;
            default ->
                status.startsWith("5")
                        ? Delivery.Outcome.FAILED
                        : status.startsWith("4") ? Delivery.Outcome.DELAYED : Delivery.Outcome.UNKNOWN;
        };
    }

    /** What follows "rfc822;" or "smtp;". */
    private static String afterType(String value) {
        return value.substring(value.indexOf(';') + 1).strip();
    }

    private static String address(String value) {
        String bare = afterType(value);
        return (bare.startsWith("<") && bare.endsWith(">") ? bare.substring(1, bare.length() - 1) : bare)
                .toLowerCase(Locale.ROOT);
    }

    static String shortened(String cause) {
        String line = String.join(" ", WhiteSpace.words(cause));
        return line.substring(0, Math.min(line.length(), LONGEST_CAUSE));
    }

    /** The Message-IDs of every header that stands in a text. */
    static List<String> messageIds(String text) {
        return groups(text).stream()
                .flatMap(group -> List.of("message-id", "resent-message-id").stream()
                        .flatMap(name -> Optional.ofNullable(group.get(name)).stream()))
                .map(StatusFields::id)
                .filter(id -> !id.isEmpty())
                .toList();
    }

    private static String id(String value) {
        int from = value.indexOf('<');
        int to = value.indexOf('>', from + 1);
        return from < 0 || to < 0 ? "" : value.substring(from, to + 1);
    }

    /** Groups end with an empty line; of a field that repeats the first counts. Indented and quoted headers count, too. */
    private static List<Map<String, String>> groups(String text) {
        List<Map<String, String>> groups = new ArrayList<>();
        Map<String, String> open = new HashMap<>();
        String last = "";
        for (String line : Pieces.between(text, '\n')) {
            if (line.isBlank()) {
                open = closed(groups, open);
                last = "";
            } else if (isFolded(line) && !last.isEmpty()) {
                open.computeIfPresent(last, (name, value) -> value + " " + line.strip());
            } else {
                last = field(open, bare(line));
            }
            if (groups.size() >= MOST_GROUPS) {
                return groups;
            }
        }
        closed(groups, open);
        return groups;
    }

    private static Map<String, String> closed(List<Map<String, String>> groups, Map<String, String> open) {
        if (open.isEmpty()) {
            return open;
        }
        groups.add(open);
        return new HashMap<>();
    }

    private static boolean isFolded(String line) {
        String name = Pieces.before(bare(line), ':');
        boolean field = name.length() < line.strip().length() && name.chars().noneMatch(Character::isWhitespace);
        return (line.charAt(0) == ' ' || line.charAt(0) == '\t') && !field;
    }

    private static String bare(String line) {
        String text = line.strip();
        while (text.startsWith(">")) {
            text = text.substring(1).strip();
        }
        return text;
    }

    /** The name of the field that begins here; empty when none does. */
    private static String field(Map<String, String> open, String line) {
        int colon = line.indexOf(':');
        String name = colon < 1 ? "" : line.substring(0, colon).toLowerCase(Locale.ROOT);
        if (name.isEmpty() || name.chars().anyMatch(Character::isWhitespace)) {
            return "";
        }
        return open.putIfAbsent(name, line.substring(colon + 1).strip()) == null ? name : "";
    }
}
