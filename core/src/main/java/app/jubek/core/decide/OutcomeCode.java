package app.jubek.core.decide;

import app.jubek.core.wording.Code;

/** What one rule made of one message, as it is recorded. */
enum OutcomeCode implements Code {
    /** Each of the next four has the criterion that decided. */
    PICKED_AND_STOPS,
    PICKED_AND_CONTINUES,
    EXCLUDED,
    NOT_MATCHED,
    OFF,
    /** The schedule. */
    RESTING,
    NOT_YET_ON,
    BROKEN,
    /** The name of the rule that stopped the run. */
    NOT_REACHED;

    @Override
    public String id() {
        return "OUTCOME_" + name();
    }
}
