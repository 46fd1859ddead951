package app.jubek.formats.sieve.syntax;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A script as its grammar has it (RFC 5228 §8.2), before any meaning. */
public record Script(List<Command> commands) {

    /** What may stand after a command's or a test's name. */
    public sealed interface Argument {
        Place place();
    }

    public record Tag(String name, Place place) implements Argument {}

    public record Number(long value, Place place) implements Argument {}

    /**
     * A list of strings, or one alone.
     *
     * @param alone written without brackets
     */
    public record Strings(List<String> values, boolean alone, Place place) implements Argument {}

    /**
     * @param tests of allof, anyof and not, those inside
     */
    public record Test(String name, List<Argument> arguments, List<Test> tests, Place place) {}

    /**
     * @param test of if and elsif
     * @param block the commands in braces
     * @param comment the text of the comment right above; may be empty
     */
    public record Command(
            String name,
            List<Argument> arguments,
            Optional<Test> test,
            List<Command> block,
            String comment,
            Place place) {
        public boolean is(String other) {
            return name.equals(other);
        }
    }

    public static String lower(String name) {
        return name.toLowerCase(Locale.ROOT);
    }
}
