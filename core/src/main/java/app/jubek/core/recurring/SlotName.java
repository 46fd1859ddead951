package app.jubek.core.recurring;

import java.util.regex.Pattern;

/** What varies at a place, in a word. */
final class SlotName {
    private static final Pattern TIME = Pattern.compile("\\W*\\d{1,2}[:.]\\d{2}\\W*");
    private static final Pattern NUMBER = Pattern.compile("\\W*\\p{Nd}+\\W*");
    private static final Pattern REFERENCE = Pattern.compile(".*\\p{Nd}.*");

    private SlotName() {}

    static String of(String example) {
        if (TIME.matcher(example).matches()) {
            return "time";
        }
        if (NUMBER.matcher(example).matches()) {
            return "number";
        }
        if (example.contains("@")) {
            return "address";
        }
        if (REFERENCE.matcher(example).matches()) {
            return "reference";
        }
        return Template.of(example).keys().get(0).equals(Template.SLOT) ? "day" : "words";
    }
}
