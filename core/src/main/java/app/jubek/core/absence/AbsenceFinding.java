package app.jubek.core.absence;

import app.jubek.core.wording.Code;

/** What speaks against an absence, or is worth knowing before it begins; the worst first. */
public enum AbsenceFinding implements Code {
    /** Each of the next five has the substitute. */
    SUBSTITUTE_DECLINED,
    SUBSTITUTE_UNREACHED,
    SUBSTITUTE_SILENT,
    /** And the substitute's own days. */
    SUBSTITUTE_AWAY,
    SUBSTITUTE_GONE,
    /** The days of the other one. */
    OVERLAPS,
    TEMPLATE_GONE,
    /** The name of the template, and the day in it. */
    TEMPLATE_SAYS_OTHERWISE,
    /** The name of the template. */
    TEMPLATE_NAMES_SUBSTITUTE,
    NO_SUBSTITUTE,
    /** None of the chosen rules is there any more. */
    NOTHING_HANDED_OVER,
    /** The first day. */
    BEGINS_IN_THE_PAST,
    /** The day on which the mailbox opens again. */
    ENDS_BEFORE_CLOSED_DAYS;

    @Override
    public String id() {
        return "ABSENCE_" + name();
    }
}
