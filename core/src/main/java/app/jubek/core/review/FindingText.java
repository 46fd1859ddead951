package app.jubek.core.review;

import app.jubek.core.wording.Code;

/** The cause of a finding. */
enum FindingText implements Code {
    /** Its schedule. */
    NEVER_ACTIVE_AGAIN,
    /** The name of the hours. */
    UNKNOWN_HOURS,
    /** Each of the next four has the other rule, and the days; at times: the first day. */
    NEITHER_ACTIVE,
    NEITHER_ACTIVE_AT_TIMES,
    BOTH_ACTIVE_ON,
    BOTH_ACTIVE_AT_TIMES,
    /** The last day of the rule, the day as it is written. */
    NAMES_PASSING_DAY,
    /** So many messages, the other rule, the first day. */
    WILL_REPLY_AFTER_ANOTHER,
    /** So many past messages. */
    NONE_PICKED,
    /** So many messages, the rule that stops the newest. */
    ALL_STOPPED_ABOVE,
    /** Per cent of all mail. */
    PICKS_SHARE,
    /** So many messages, the other rule. */
    REPLIES_AFTER_ANOTHER,
    /** So many messages, of so many that were to be answered. */
    MOVED_UNANSWERED,
    /** Addresses, so many messages, the other rule. */
    FORWARDED_AND_REDIRECTED_BY_TWO,
    /** Addresses. */
    FORWARDS_AND_REDIRECTS,
    /** Addresses. */
    BACK_TO_THIS_MAILBOX,
    EXCEPTIONS_LEAVE_OUT_ALL,
    CRITERIA_EXCLUDE_EACH_OTHER,
    /** Values, how many. */
    VALUES_ADD_NOTHING,
    /** The other rule. */
    SAME_AS,
    STOPPED_BY_RULE_ABOVE,
    /** A phrase, so many messages, of so many. */
    INSIDE_LONGER_WORDS,
    /** So many messages, what they say. */
    PICKS_WHAT_DENIES,
    /** Who answers. */
    HANDED_ON_FOR_EVER,
    /** So many messages of ours, why the last was not sent. */
    SENT_AGAIN_UNTIL,
    /** The same through mailboxes of others, of which no more is told. */
    GOES_ON_FOR_EVER,
    SENT_AGAIN
}
