package app.jubek.core.absence;

import app.jubek.core.wording.Code;

/** What the rules of an absence are called, and what is noted of it. */
public enum AbsencePhrase implements Code {
    /** The days. */
    ANSWER_RULE,
    /** The days and the substitute. */
    HAND_OVER_RULE,
    /** Each of the next has the days. */
    PLANNED,
    CHANGED,
    ENDED_EARLY,
    REMOVED,
    /** And the substitute. */
    AGREED,
    DECLINED;

    @Override
    public String id() {
        return "AWAY_" + name();
    }
}
