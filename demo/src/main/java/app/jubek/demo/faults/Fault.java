package app.jubek.demo.faults;

import java.util.regex.Pattern;

/**
 * One fault.
 *
 * @param at where it strikes
 * @param on the command or server line it strikes; looked for without regard to case
 * @param does what it does
 * @param text of an answer, or what stands in a server line instead
 */
record Fault(Stage at, Pattern on, Act does, String text) {
    /** What a fault does. */
    enum Act {
        /** Answers in the server's place, which never learns of it. */
        ANSWER,
        /** Closes the connection without a word. */
        DROP,
        /** Stands still until the bench is told to go on. */
        HOLD,
        /** Writes something else into a line of the server. */
        REWRITE
    }

    static Fault answer(Stage at, String on, String text) {
        return new Fault(at, pattern(on), Act.ANSWER, text);
    }

    static Fault drop(Stage at, String on) {
        return new Fault(at, pattern(on), Act.DROP, "");
    }

    static Fault hold(Stage at, String on) {
        return new Fault(at, pattern(on), Act.HOLD, "");
    }

    static Fault rewrite(String on, String text) {
        return new Fault(Stage.SERVER_LINE, pattern(on), Act.REWRITE, text);
    }

    boolean strikes(Stage stage, String line) {
        return at == stage && on.matcher(line).find();
    }

    private static Pattern pattern(String on) {
        return Pattern.compile(on, Pattern.CASE_INSENSITIVE);
    }
}
