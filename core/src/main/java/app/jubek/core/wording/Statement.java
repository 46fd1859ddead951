package app.jubek.core.wording;

import java.util.List;
import java.util.stream.Stream;

/**
 * Something to be told to people: a reason, a cause, an outcome, a piece of advice.
 *
 * @param code the id of a {@link Code}
 */
public record Statement(String code, List<Argument> arguments) implements Argument {
    public Statement {
        arguments = List.copyOf(arguments);
    }

    /** A statement of this code; see {@link Argument#of} for the arguments. */
    public static Statement of(Code code, Object... arguments) {
        return new Statement(code.id(), Stream.of(arguments).map(Argument::of).toList());
    }

    public boolean is(Code other) {
        return code.equals(other.id());
    }
}
