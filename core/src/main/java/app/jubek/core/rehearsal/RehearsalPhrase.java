package app.jubek.core.rehearsal;

import app.jubek.core.wording.Code;

/** What becomes of messages. */
enum RehearsalPhrase implements Code {
    LEFT_IN_INBOX,
    /** Has the template's name. */
    REPLIED_TO_WITH;

    @Override
    public String id() {
        return "REHEARSAL_" + name();
    }
}
