package app.jubek.core.matching;

/** Goes through a pattern once, for the longest run of ASCII letters and digits that can't be left out of a match. */
final class PatternLiteral {
    private final String pattern;
    private final StringBuilder run = new StringBuilder();
    private String longest = "";
    private int at;
    private int depth;

    private PatternLiteral(String pattern) {
        this.pattern = pattern;
    }

    /** Empty when that is not easily told: with alternatives, flags, or escapes that stand for other text. */
    static String in(String pattern) {
        return new PatternLiteral(pattern).longest();
    }

    private String longest() {
        while (at < pattern.length()) {
            char sign = pattern.charAt(at);
            if (isHardToTell(sign)) {
                return "";
            }
            if (depth == 0 && isLiteral(sign)) {
                run.append(sign);
                at++;
            } else {
                pass(sign);
            }
        }
        endRun();
        return longest;
    }

    private boolean isHardToTell(char sign) {
        char next = at + 1 < pattern.length() ? pattern.charAt(at + 1) : ' ';
        return sign == '|'
                || sign == '(' && next == '?'
                || sign == '\\' && (next == 'x' || next == 'Q' || next >= '0' && next <= '9');
    }

    private void pass(char sign) {
        int times = sign == '{' ? behindTimes() : at + 1;
        if (sign == '?' || sign == '*' || sign == '{') {
            run.setLength(Math.max(0, run.length() - 1)); // what stands before it may be left out
        }
        endRun();
        depth += sign == '(' ? 1 : sign == ')' ? -1 : 0;
        at = switch (sign) {
            case '[' -> behindClass();
            case '\\' -> behindEscape();
            default -> times;
        };
    }

    private void endRun() {
        longest = run.length() > longest.length() ? run.toString() : longest;
        run.setLength(0);
    }

    private int behindClass() {
        int end = at + 1;
        end += end < pattern.length() && pattern.charAt(end) == '^' ? 1 : 0;
        end += end < pattern.length() && pattern.charAt(end) == ']' ? 1 : 0;
        while (end < pattern.length() && pattern.charAt(end) != ']') {
            boolean named = pattern.startsWith("[:", end);
            end = pattern.charAt(end) == '\\' ? end + 2 : named ? behind(']', end + 1) : end + 1;
        }
        return end + 1;
    }

    private int behindEscape() {
        boolean named = pattern.startsWith("\\p{", at) || pattern.startsWith("\\P{", at);
        return named ? behind('}', at) : at + 2;
    }

    /** Behind a number of times such as "{2,3}"; another brace stands for itself. */
    private int behindTimes() {
        int end = at + 1;
        while (end < pattern.length() && (Character.isDigit(pattern.charAt(end)) || pattern.charAt(end) == ',')) {
            end++;
        }
        return end > at + 1 && end < pattern.length() && pattern.charAt(end) == '}' ? end + 1 : at + 1;
    }

    private int behind(char closing, int from) {
        int end = pattern.indexOf(closing, from);
        return end < 0 ? pattern.length() : end + 1;
    }

    private static boolean isLiteral(char sign) {
        return sign >= 'a' && sign <= 'z' || sign >= 'A' && sign <= 'Z' || sign >= '0' && sign <= '9';
    }
}
