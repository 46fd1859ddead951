package app.jubek.core.plan;

import app.jubek.core.wording.Code;

/** How a step came to where it is, beside reasons and failures. */
public enum StepNote implements Code {
    PERHAPS_TWICE,
    /** The failure. */
    TO_BE_TRIED_AGAIN,
    /** The failure and the number of attempts. */
    GIVEN_UP,
    NOBODY_KNOWS_WHETHER_SENT,
    /** What a server on the way said. */
    DELAYED_ON_THE_WAY,
    NO_CAUSE_TOLD,
    /** The recipient. */
    NOT_HANDED_ON_TO,
    FORWARDED_INSTEAD,
    IN_PLACE_OF_REDIRECT,
    DISCARDED_BY_PERSON,
    /** Of the answer that a person gave after all. */
    ANSWERED_ANYWAY,
    BROUGHT_BACK_BY_PERSON,
    /** The address that answered. */
    DEALT_WITH_BY,
    DEALT_WITH_FROM_HERE,
    /** Who said so: a person or an address. */
    SAID_TO_BE_DEALT_WITH,
    /** The address to which it had been handed on. */
    NOT_FOR,
    NOBODY_DEALT_WITH_IT,
    CAME_BACK_BEFORE,
    DELETED_MEANWHILE,
    /** The folder. */
    MOVED_MEANWHILE_TO,
    MOVED_OR_DELETED_MEANWHILE,
    MOVED_PLACE_UNKNOWN
}
