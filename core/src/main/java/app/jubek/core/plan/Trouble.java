package app.jubek.core.plan;

import app.jubek.core.wording.Statement;
import java.util.Optional;

/** Why something could not be done, and what a person can do, where there is something to do. */
public record Trouble(Statement cause, Optional<Advice> advice) {
    public static Trouble of(Statement cause) {
        return new Trouble(cause, Optional.empty());
    }

    public static Trouble of(Statement cause, Advice advice) {
        return new Trouble(cause, Optional.of(advice));
    }
}
