package app.jubek.core.message;

import app.jubek.core.wording.Code;

/** Who or what sent a message; several may hold at once. */
public enum SentBy implements Code {
    PERSON,
    AUTOMATIC_REPLY,
    AUTOMATIC_NOTICE,
    LIST,
    BULK,
    BOUNCE,
    CALENDAR;

    @Override
    public String id() {
        return "SENT_BY_" + name();
    }
}
