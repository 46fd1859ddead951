package app.jubek.core.decide;

import app.jubek.core.wording.Code;

/** What limits a decision, beside what its message says of how it was read. */
enum DecisionNote implements Code {
    /** So many characters of each text. */
    PATTERNS_LOOKED_IN_PART,
    /** So many places. */
    MARKED_IN_PART,
    LEFT_IN_JUNK
}
