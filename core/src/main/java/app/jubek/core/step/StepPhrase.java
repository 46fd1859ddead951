package app.jubek.core.step;

import app.jubek.core.wording.Code;

/** What was done, as a participle. */
enum StepPhrase implements Code {
    FORWARDED_TO,
    REDIRECTED_TO,
    REPLIED_TO,
    FILED_IN,
    COPIED_TO,
    /** In so many days. */
    REMINDED,
    NOTIFIED,
    /** In so many working days. */
    FOLLOWED_UP,
    /** A group of the address book. */
    GROUP,
    /** The folder and the address of the mailbox that has it. */
    FOLDER_OF_MAILBOX,
    THE_INBOX,
    /** A folder with one below it for each sender, or for each value listed. */
    FOLDER_PER_SENDER,
    FOLDER_PER_VALUE,
    /** How often a reply goes out: in so many days; or so many times in so many days. */
    ONCE_IN_DAYS,
    TIMES_IN_DAYS,
    ONCE_ONLY,
    ADDRESS_IN_TEXT,
    /** Minutes. */
    RELEASE_AT_OPENING_OF,
    RELEASE_AFTER,
    RELEASE_COMPOSED
}
