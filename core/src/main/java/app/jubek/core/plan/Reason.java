package app.jubek.core.plan;

import java.util.EnumSet;
import java.util.Set;

/** Why a step is withheld or held: in plain words, with the source that asks for it. */
public enum Reason {
    NO_RETURN_PATH("there is no return path to answer to", "RFC 5230 §4.5"),
    NULL_RETURN_PATH("its return path is null, as of bounces and automatic mail", "RFC 3834 §2"),
    NOT_ONE_WRITER("it does not have exactly one address in From", "RFC 3834 §2"),
    AUTOMATIC("it was sent automatically", "RFC 3834 §2, §5"),
    LIST("it came through a mailing list", "RFC 5230 §4.6"),
    MASS_MAIL("it is mass mail by its Precedence", "RFC 3834 §2"),
    REPORT("it is a delivery report or a receipt", "RFC 3834 §2"),
    CALENDAR("it is a calendar message", "common practice"),
    SPAM("it is marked as spam", "common practice"),
    SYSTEM_WRITER("it comes from a mail system or list address", "RFC 5230 §4.6"),
    NO_REPLY_WRITER("its writer's address says that nobody reads answers", "common practice"),
    POSTMASTER("it comes from a postmaster", "RFC 3834 §2"),
    OWN_WRITER("it was written by this mailbox itself", "RFC 3834 §2"),
    NOT_WRITTEN_TO_US("no address of this mailbox is among its recipients", "RFC 5230 §4.5"),
    CONVERSATION("it answers something this mailbox sent", "preset"),
    HANDED_ON("it was handed on to us by a Jubek mailbox", "RFC 3834 §2"),
    ANSWERED_BEFORE("this writer had an answer from this rule before", "RFC 3834 §2"),
    ANSWERS_A_DAY("this writer had three automatic answers within a day", "RFC 3834 §2"),
    TEMPLATE_GONE("the template of its answer is gone", ""),
    TEMPLATE_EMPTY("the template of its answer says nothing to this message", ""),
    DOCUMENT_GONE("a document of its answer is gone", ""),
    DOCUMENTS_TOO_LARGE("the documents of its answer are too large to go along", ""),
    DOCUMENTS_TO_A_STRANGER("its large documents would go to somebody unknown", "RFC 3834 §2"),
    NOBODY_TO_ANSWER("the address its answer is to go to is not to be found in it", ""),
    IDENTITY_NOT_OURS("the address it is to be written as is not the mailbox’s own", ""),
    HEADER_CUT("a part of its header is too long to be read, so nobody knows what it says", ""),
    ADDRESS_UNUSABLE("no mail can be sent to the address its answer would go to", "RFC 5321 §4.1.2"),
    ANOTHER_ADDRESS("the rule goes by sender, and its answer would go to an address it does not pick", ""),
    GROUP_EMPTY("there is nobody in the group it is to go to", ""),
    OVERTAKEN("an earlier rule answers it", "one answer to a message"),
    FENCE("the mailbox's fence keeps it in", ""),
    LOOP("it has been through this mailbox already", "RFC 5321 §6.3"),
    TOO_MANY_HOPS("it was handed on too often", "RFC 5321 §6.3"),
    BACK_TO_WRITER("it would go back to its own writer", ""),
    BACK_TO_MAILBOX("it would come back to this mailbox", ""),
    FILED("it is filed, and filing goes before getting rid of it", "common practice"),
    KEPT("a rule keeps it in the inbox", "common practice"),
    RULE_SWITCHED_OFF("the rule was paused or removed before it left", ""),
    OUTSIDE("the address lies outside our own domains and has not agreed to get mail", ""),
    HOURLY_LIMIT("the mailbox has sent as many messages as it may in one hour", ""),
    RULE_LIMIT("the rule has sent as many messages as it may in one hour", ""),
    OVER_LATE("it came in more than a day ago, and an answer so late may surprise", ""),
    RESTORED("it came in before the database was restored, so it may have left already", "");

    private static final Set<Reason> A_PERSON_MAY_OVERRULE =
            EnumSet.of(HOURLY_LIMIT, RULE_LIMIT, OVER_LATE, RESTORED, DOCUMENTS_TO_A_STRANGER, HEADER_CUT);

    private final String words;
    private final String source;

    Reason(String words, String source) {
        this.words = words;
        this.source = source;
    }

    /** Whether a person may let go what is held for it. */
    public boolean mayBeOverruled() {
        return A_PERSON_MAY_OVERRULE.contains(this);
    }

    public String words() {
        return words;
    }

    /** RFC and section, "common practice", or empty where it is our own rule. */
    public String source() {
        return source;
    }
}
