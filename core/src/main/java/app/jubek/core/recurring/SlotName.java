package app.jubek.core.recurring;

import com.google.re2j.Pattern;
import java.util.List;

/** What varies at a place, in a word. */
final class SlotName {
    private static final Pattern TIME = Pattern.compile("\\W*\\d{1,2}[:.]\\d{2}\\W*");
    private static final Pattern NUMBER = Pattern.compile("\\W*\\p{Nd}+\\W*");

    private SlotName() {}

    /** Of several words beside each other: a day, if one of them is of the calendar; else what the first one is. */
    static String of(List<String> examples) {
        return examples.stream()
                .map(SlotName::of)
                .filter("day"::equals)
                .findFirst()
                .orElseGet(() -> of(examples.get(0)));
    }

    private static String of(String example) {
        if (example.equalsIgnoreCase("may")) {
            return "day"; // the month, as it is looked at only where it varies
        }
        if (TIME.matches(example)) {
            return "time";
        }
        if (NUMBER.matches(example)) {
            return "number";
        }
        if (example.contains("@")) {
            return "address";
        }
        if (example.codePoints().anyMatch(Character::isDigit)) {
            return "reference";
        }
        return SubjectPattern.of(example).keys().get(0).equals(SubjectPattern.SLOT) ? "day" : "words";
    }
}
