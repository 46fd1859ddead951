package app.jubek.core.plan;

import app.jubek.core.wording.Code;

/** What a person can do about a failure. None has arguments. */
public enum Advice implements Code {
    RENEW_CERTIFICATE,
    CHECK_HOST_AND_PORT,
    CHECK_HOST_NAME,
    CORRECT_HOST,
    CLOSE_OTHER_PROGRAMS,
    TRIES_AGAIN,
    MAIL_WAITS,
    CORRECT_SIGN_IN,
    ASK_MAIL_ADMINISTRATOR,
    LET_ADDRESS_SEND,
    CHECK_ADDRESS,
    SEND_A_LINK,
    READ_AND_DECIDE,
    FORWARD_INSTEAD,
    MAKE_ROOM,
    ASK_FOR_RIGHT,
    REMOVE_TAG,
    TRASH_INSTEAD,
    MARK_INSTEAD,
    CREATE_FOLDER,
    CHOOSE_OTHER_MAILBOX,
    MOVE_BY_HAND,
    START_AGAIN,
    MAKE_DISK_ROOM,
    ASK_RECIPIENT
}
