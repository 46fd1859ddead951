package app.jubek.core.arrival;

import app.jubek.core.wording.Code;

/** What to do about redirects that may not arrive. */
enum ArrivalAdvice implements Code {
    /** So many, of so many. */
    SOME_AT_RISK,
    NOBODY_CAN_TELL,
    NO_OBJECTION;

    @Override
    public String id() {
        return "ARRIVAL_" + name();
    }
}
