package app.jubek.core.safety;

import app.jubek.core.plan.Reason;
import java.util.Optional;

/** One reason against a step, and what exactly in the message gave it. */
public record Refusal(Reason reason, Optional<String> detail) {
    public static Refusal of(Reason reason) {
        return new Refusal(reason, Optional.empty());
    }

    static Refusal of(Reason reason, String detail) {
        return new Refusal(reason, Optional.of(detail));
    }
}
