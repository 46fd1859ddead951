package app.jubek.core.plan;

import app.jubek.core.wording.Statement;

/**
 * A step that is not done, and why.
 *
 * @param waits true when a person may still send it (held), false when it was refused for safety (withheld)
 */
public record NotDone(PlannedStep planned, boolean waits, Refusal refusal) {
    public Reason reason() {
        return refusal.reason();
    }

    /** The reason with its details: "it came through a mailing list: List-Id". */
    public Statement statement() {
        return refusal.statement();
    }
}
