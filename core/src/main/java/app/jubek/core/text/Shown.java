package app.jubek.core.text;

/**
 * Text from outside as a page may show it: what can't be seen, or would turn other text around, stands there as a mark.
 * Each unit stands for one unit, so that places in the text stay where they are.
 */
public final class Shown {
    /** For what has no picture of its own. */
    public static final char MARK = '\u25C7';

    private static final char PICTURES = '\u2400';
    private static final char PICTURE_OF_DELETE = '\u2421';

    private Shown() {}

    public static String of(String text) {
        int at = 0;
        while (at < text.length() && shown(text, at) == text.charAt(at)) {
            at++;
        }
        if (at == text.length()) {
            return text;
        }
        StringBuilder shown = new StringBuilder(text);
        for (; at < shown.length(); at++) {
            shown.setCharAt(at, shown(text, at));
        }
        return shown.toString();
    }

    private static char shown(String text, int at) {
        char unit = text.charAt(at);
        boolean pair = Character.isHighSurrogate(unit)
                ? at + 1 < text.length() && Character.isLowSurrogate(text.charAt(at + 1))
                : Character.isLowSurrogate(unit) && at > 0 && Character.isHighSurrogate(text.charAt(at - 1));
        return Character.isSurrogate(unit) && !pair ? MARK : shown(unit);
    }

    private static char shown(char unit) {
        if (unit >= ' ' && unit < 0x7F || unit == '\n' || unit == '\r' || unit == '\t') {
            return unit;
        }
        if (unit < ' ') {
            return (char) (PICTURES + unit);
        }
        if (unit == 0x7F) {
            return PICTURE_OF_DELETE;
        }
        boolean separator = unit == '\u2028' || unit == '\u2029';
        return unit < 0xA0 || separator || Unsafe.turnsDirection(unit) ? MARK : unit;
    }
}
