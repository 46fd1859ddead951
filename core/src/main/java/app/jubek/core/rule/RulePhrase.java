package app.jubek.core.rule;

import app.jubek.core.wording.Code;

/** A rule read back as one sentence, and what changed from one rule book to the next. */
enum RulePhrase implements Code {
    /** Which mail, what is done with it; then what it leaves out, and when it is active. */
    RULE,
    RULE_WITH_EXCEPTIONS,
    RULE_WITH_SCHEDULE,
    RULE_WITH_EXCEPTIONS_AND_SCHEDULE,
    NOTHING_YET,
    /** What is done, and when it goes out. */
    DONE_WHEN,
    /** Each of the next has the rule's name. */
    REMOVED,
    ADDED_ON,
    ADDED_PAUSED,
    DOES_IT_OTHERWISE,
    STOPS_NOW,
    CONTINUES_NOW,
    SWITCHED_ON,
    PAUSED,
    MOVED,
    /** The name and the one before. */
    RENAMED,
    /** The name and the sentence. */
    READS_NOW,
    FENCE_CHANGED
}
