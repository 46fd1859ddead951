package app.jubek.core.plan;

import app.jubek.core.wording.Code;
import java.util.EnumSet;
import java.util.Set;

/** Why a step is withheld or held, with the source that asks for it. */
public enum Reason implements Code {
    /** RFC 5230 §4.5. */
    NO_RETURN_PATH,
    /** RFC 3834 §2. */
    NULL_RETURN_PATH,
    /** RFC 3834 §2. */
    NOT_ONE_SENDER,
    /** RFC 3834 §2, §5. */
    AUTOMATIC,
    /** RFC 5230 §4.6. */
    LIST,
    /** RFC 3834 §2. */
    MASS_MAIL,
    /** RFC 3834 §2. */
    REPORT,
    /** Common practice. */
    CALENDAR,
    /** Common practice. */
    SPAM,
    /** RFC 5230 §4.6. */
    SYSTEM_SENDER,
    /** Common practice. */
    NO_REPLY_SENDER,
    /** RFC 3834 §2. */
    POSTMASTER,
    /** RFC 3834 §2. */
    OWN_SENDER,
    /** RFC 5230 §4.5. */
    NOT_WRITTEN_TO_US,
    /** Preset. */
    CONVERSATION,
    /** RFC 3834 §2. */
    HANDED_ON,
    /** RFC 3834 §2. */
    ANSWERED_BEFORE,
    /** RFC 3834 §2. */
    ANSWERS_A_DAY,
    TEMPLATE_GONE,
    TEMPLATE_EMPTY,
    DOCUMENT_GONE,
    DOCUMENTS_TOO_LARGE,
    /** RFC 3834 §2. */
    DOCUMENTS_TO_A_STRANGER,
    NOBODY_TO_ANSWER,
    IDENTITY_NOT_OURS,
    HEADER_CUT,
    /** RFC 5321 §4.1.2. */
    ADDRESS_UNUSABLE,
    ANOTHER_ADDRESS,
    GROUP_EMPTY,
    /** One answer to a message. */
    SUPERSEDED,
    FENCE,
    /** RFC 5321 §6.3. */
    LOOP,
    /** RFC 5321 §6.3. */
    TOO_MANY_HOPS,
    BACK_TO_SENDER,
    BACK_TO_MAILBOX,
    /** Common practice. */
    FILED,
    /** Common practice. */
    KEPT,
    RULE_SWITCHED_OFF,
    OUTSIDE,
    HOURLY_LIMIT,
    RULE_LIMIT,
    OVER_LATE,
    RESTORED;

    private static final Set<Reason> A_PERSON_MAY_OVERRULE =
            EnumSet.of(HOURLY_LIMIT, RULE_LIMIT, OVER_LATE, RESTORED, DOCUMENTS_TO_A_STRANGER, HEADER_CUT);

    /** Whether a person may let go what is held for it. */
    public boolean mayBeOverruled() {
        return A_PERSON_MAY_OVERRULE.contains(this);
    }
}
