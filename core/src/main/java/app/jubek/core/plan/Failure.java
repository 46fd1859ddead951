package app.jubek.core.plan;

import app.jubek.core.wording.Code;

/** Why a step, a message or a mailbox could not be worked on. Arguments: the host, the folder, what the server said. */
public enum Failure implements Code {
    CERTIFICATE_EXPIRED,
    NO_ENCRYPTION,
    NOT_TRUSTED,
    HOST_UNKNOWN,
    TOO_MANY_CONNECTIONS,
    UNREACHABLE,
    SIGN_IN_REFUSED,
    NO_SIGN_IN,
    DATABASE_AWAY,
    WATCHING_BROKE,
    SMTP_NOT_NOW,
    SENDER_REFUSED,
    /** The address, and what the server said that gave it up. */
    CAME_BACK,
    RECIPIENT_REFUSED,
    CONTENT_TOO_LARGE,
    LARGER_THAN_SERVER_TAKES,
    CONTENT_REFUSED,
    NULL_SENDER_REFUSED,
    FORBIDDEN_LINE_END,
    EIGHT_BIT_NOT_TAKEN,
    ADDRESS_BEYOND_ASCII_NOT_TAKEN,
    HEADER_BEYOND_ASCII_NOT_TAKEN,
    BROKE_BEFORE_CONFIRMED,
    MAILBOX_FULL,
    FOLDER_READ_ONLY,
    FOLDER_KEEPS_NO_TAGS,
    NO_SINGLE_REMOVAL,
    NEITHER_MOVE_NOR_REMOVAL,
    FOLDER_NOT_CREATED,
    NO_SUCH_MAILBOX,
    TOO_LARGE_FOR_OTHER_MAILBOX,
    NOT_FOUND_AFTER_COPY,
    STEP_BROKE,
    STEP_NOT_BEGUN,
    ASIDE_STOPPED,
    ASIDE_TOO_LARGE,
    ASIDE_TOO_COSTLY,
    ASIDE_BROKE,
    NOBODY_WATCHES,
    DISK_NEARLY_FULL
}
