package app.jubek.core.rule;

import app.jubek.core.wording.Code;

/** What somebody changed beside rules and templates, and an address that said something. */
public enum SettingChange implements Code {
    /** Nothing leaves the mailbox from now on. */
    MAIL_STOPPED,
    MAIL_LEAVES_AGAIN,
    FIRST_READING_PAUSED,
    FIRST_READING_RESUMED,
    /** The address that is told what waits. */
    DIGEST_WANTED,
    DIGEST_ENDED,
    /** Each of the next has the address that mail goes to. */
    DESTINATION_ASKED,
    DESTINATION_AGREED,
    DESTINATION_DECLINED,
    DESTINATION_VOUCHED_FOR,
    DESTINATION_LAPSED,
    DESTINATION_UNREACHED,
    DESTINATION_TOLD,
    /** Each of the next has the name of the hours or of the calendar. */
    HOURS_SAVED,
    HOURS_REMOVED,
    CALENDAR_SAVED,
    CALENDAR_REMOVED;

    @Override
    public String id() {
        return "CHANGED_" + name();
    }
}
