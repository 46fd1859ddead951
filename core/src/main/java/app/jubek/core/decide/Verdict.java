package app.jubek.core.decide;

import app.jubek.core.criteria.Hits;
import app.jubek.core.rule.Rule;

/** What one rule made of one message, in short. */
enum Verdict {
    PICKED,
    EXCLUDED,
    NOT_MATCHED,
    OFF,
    RESTING,
    NOT_YET_ON,
    /** Judging it failed; the others go on, and the message stays in the inbox. */
    BROKEN;

    /** What a rule makes of a message while it is active. */
    static Verdict of(Rule rule, Hits hits) {
        if (!rule.on()) {
            return OFF;
        }
        if (!rule.picksOut().holds(hits)) {
            return NOT_MATCHED;
        }
        return rule.leavesOut().holds(hits) ? EXCLUDED : PICKED;
    }
}
