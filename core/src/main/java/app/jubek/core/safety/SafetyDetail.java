package app.jubek.core.safety;

import app.jubek.core.wording.Code;

/** What was counted where a message has come too far. */
enum SafetyDetail implements Code {
    MAILBOXES,
    RECEIVED_FIELDS
}
