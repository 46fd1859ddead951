package app.jubek.core.realtest;

import app.jubek.core.wording.Code;

/** What keeps a trial from being sent for real, and how far one has come that was sent. */
public enum RealTestPhrase implements Code {
    /** Has the address. */
    TO_ONESELF,
    DIFFERS_ALREADY,
    /** Has the address that it would be sent from. */
    RESTS_ON_SENDER,
    RESTS_ON_TIME,
    RESTS_ON_CONVERSATION,
    RESTS_ON_WHAT_IS_LEFT_OUT,
    /** A step and the reason. */
    NOT_DONE_NOW,
    /** Has the cause. */
    NOT_SENT,
    ON_ITS_WAY,
    /** Has minutes. */
    NOT_COME_IN,
    /** Each of the next three has seconds. */
    CAME_IN,
    DONE,
    LEFT_US,
    /** Has an address. */
    NOT_YET_AT,
    /** An address and minutes. */
    NOT_SEEN_AT,
    /** An address, seconds, the sender and the subject. */
    SEEN_AT,
    UNDER_WAY,
    /** Has minutes. */
    NOT_DONE_IN,
    WAITS,
    FAILED,
    NOT_DONE,
    /** Each of the next three has the reason. */
    WAITS_AS,
    FAILED_AS,
    NOT_DONE_AS,
    /** Has the trial's name. */
    STILL_UNDER_WAY,
    /** Has a mailbox's address. */
    LEFT_WITH_OTHERS,
    /** A mailbox's address and the cause. */
    NOT_REMOVED;

    @Override
    public String id() {
        return "REAL_TEST_" + name();
    }
}
