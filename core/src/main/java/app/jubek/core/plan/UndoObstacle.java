package app.jubek.core.plan;

import app.jubek.core.wording.Code;

/** Why something that was done can't be undone. None has arguments. */
public enum UndoObstacle implements Code {
    /** It has left by SMTP. */
    HAS_LEFT,
    DELETED_FOR_GOOD,
    IN_OTHER_MAILBOX,
    /** A notice, or a message that was brought back: nothing of it needs undoing. */
    NOTHING_TO_UNDO,
    NOT_DONE,
    ALREADY_UNDONE,
    UNDER_WAY,
    /** It was done before Jubek kept how things were. */
    NOT_NOTED,
    MOVED_OR_DELETED_SINCE
}
