package app.jubek.core.catchup;

import app.jubek.core.wording.Code;

/** Why a catch-up does not do what a rule would do. None has arguments. */
public enum LeftOut implements Code {
    NO_REPLIES_WANTED,
    NO_HAND_OVERS_WANTED,
    /** Trash, deletion or another mailbox: the message was to be handed on first. */
    NOT_HANDED_ON,
    NO_OLD_NOTICES,
    DONE_BEFORE,
    THERE_ALREADY
}
