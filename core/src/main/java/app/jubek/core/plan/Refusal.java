package app.jubek.core.plan;

import app.jubek.core.wording.Statement;

/** One reason against a step, and what exactly in the message gave it, as a statement. */
public record Refusal(Reason reason, Statement statement) {
    public static Refusal of(Reason reason, Object... details) {
        return new Refusal(reason, reason.with(details));
    }
}
