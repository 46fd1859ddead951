package app.jubek.core.schedule;

import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.time.LocalDate;

/**
 * The days of a schedule begin or end, for a week at least.
 *
 * @param day the first or last day on which it is active
 */
public record Turn(LocalDate day, What what) {
    /** What happens, as a phrase about a rule. */
    public enum What implements Code {
        BEGINS,
        ENDS,
        /** It is active on that day alone. */
        ALONE;

        @Override
        public String id() {
            return "TURN_" + name();
        }
    }

    /** The same of a rule, with the day. */
    public Statement of(String rule) {
        return SchedulePhrase.TURN_OF_RULE.with(day, rule, what);
    }
}
