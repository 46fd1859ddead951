package app.jubek.core.plan;

import app.jubek.core.step.Release;
import app.jubek.core.wording.Code;
import java.util.EnumSet;
import java.util.Set;

/** Why a step is withheld or held, with the source that asks for it. */
public enum Reason implements Code {
    NO_RETURN_PATH("RFC 5230 §4.5"),
    NULL_RETURN_PATH("RFC 3834 §2"),
    NOT_ONE_SENDER("RFC 3834 §2"),
    AUTOMATIC("RFC 3834 §2, §5"),
    LIST("RFC 5230 §4.6"),
    MASS_MAIL("RFC 3834 §2"),
    REPORT("RFC 3834 §2"),
    CALENDAR("common practice"),
    SPAM("common practice"),
    SYSTEM_SENDER("RFC 5230 §4.6"),
    NO_REPLY_SENDER("common practice"),
    POSTMASTER("RFC 3834 §2"),
    OWN_SENDER("RFC 3834 §2"),
    NOT_WRITTEN_TO_US("RFC 5230 §4.5"),
    CONVERSATION("preset"),
    HANDED_ON("RFC 3834 §2"),
    ANSWERED_BEFORE("RFC 3834 §2"),
    ANSWERS_A_DAY("RFC 3834 §2"),
    TEMPLATE_GONE,
    TEMPLATE_EMPTY,
    DOCUMENT_GONE,
    DOCUMENTS_TOO_LARGE,
    DOCUMENTS_TO_A_STRANGER("RFC 3834 §2"),
    NOBODY_TO_ANSWER,
    IDENTITY_NOT_OURS,
    HEADER_CUT,
    ADDRESS_UNUSABLE("RFC 5321 §4.1.2"),
    ANOTHER_ADDRESS,
    GROUP_EMPTY,
    /** One answer to a message. */
    SUPERSEDED,
    FENCE,
    LOOP("RFC 5321 §6.3"),
    TOO_MANY_HOPS("RFC 5321 §6.3"),
    BACK_TO_SENDER,
    BACK_TO_MAILBOX,
    /** The message says that nothing gets there. */
    BOUNCED_FROM("RFC 5321 §6.1"),
    FILED("common practice"),
    KEPT("common practice"),
    /** Of a rule that moves only what it answered. */
    NOT_ANSWERED,
    RULE_SWITCHED_OFF,
    OUTSIDE,
    DESTINATION_DECLINED,
    /** Its rule sends on approval. */
    APPROVAL,
    /** The substitute has not agreed to take over. */
    SUBSTITUTE_NOT_AGREED,
    /** Of an answer that says so. */
    ABSENCE_OVER,
    /** It is composed from the message. */
    COMPOSED,
    /** By a person, before its time came. */
    STOPPED,
    HOURLY_LIMIT,
    RULE_LIMIT,
    DESTINATION_LIMIT,
    /** The share of one sender. */
    SENDER_LIMIT,
    OVER_LATE,
    RESTORED;

    private static final Set<Reason> A_PERSON_MAY_OVERRULE = EnumSet.of(
            APPROVAL,
            SUBSTITUTE_NOT_AGREED,
            COMPOSED,
            STOPPED,
            HOURLY_LIMIT,
            RULE_LIMIT,
            DESTINATION_LIMIT,
            SENDER_LIMIT,
            OVER_LATE,
            RESTORED,
            DOCUMENTS_TO_A_STRANGER,
            HEADER_CUT);

    private static final Set<Reason> OF_A_MACHINE =
            EnumSet.of(NULL_RETURN_PATH, NO_RETURN_PATH, AUTOMATIC, NO_REPLY_SENDER);
    private static final Set<Reason> OF_WHAT_WAS_BEFORE = EnumSet.of(ANSWERED_BEFORE, ANSWERS_A_DAY, CONVERSATION);

    private final String source;

    Reason() {
        this("");
    }

    Reason(String source) {
        this.source = source;
    }

    /** Why a step with such a release waits, while it does. */
    public static Reason awaitedBy(Release release) {
        if (release instanceof Release.Composed) {
            return COMPOSED;
        }
        return release == Release.Plain.ONCE_AGREED ? SUBSTITUTE_NOT_AGREED : APPROVAL;
    }

    /** What asks for it, such as "RFC 3834 §2", "common practice" or "preset"; empty where it is a matter of Jubek's own. */
    public String source() {
        return source;
    }

    /** Whether it tells of the machine that sent a message, and not of a person for whom a web form may have sent it. */
    public boolean isOfAMachine() {
        return OF_A_MACHINE.contains(this);
    }

    /** Whether a person may give the answer all the same: nothing in the message itself stands against it. */
    public boolean mayBeAnsweredAnyway() {
        return OF_WHAT_WAS_BEFORE.contains(this);
    }

    /** Whether a person may let go what is held for it. */
    public boolean mayBeOverruled() {
        return A_PERSON_MAY_OVERRULE.contains(this);
    }
}
