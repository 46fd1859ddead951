package app.jubek.core.plan;

import app.jubek.core.text.Shown;
import java.util.Optional;

/**
 * A step that is not done, and why.
 *
 * @param waits true when a person may still let it go (held), false when it was refused for safety (withheld)
 * @param detail what exactly, for instance the value of a field
 */
public record NotDone(PlannedStep planned, boolean waits, Reason reason, Optional<String> detail) {

    /** The reason in plain words: "it came through a mailing list: List-Id (RFC 5230 §4.6)". */
    public String why() {
        String what = detail.map(d -> ": " + Shown.of(d)).orElse("");
        String source = reason.source().isEmpty() ? "" : " (" + reason.source() + ")";
        return reason.words() + what + source;
    }
}
