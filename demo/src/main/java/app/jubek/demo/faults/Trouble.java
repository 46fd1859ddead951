package app.jubek.demo.faults;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** The faults that can be called for by name. */
public enum Trouble {
    SMTP_BUSY(Fault.answer(Stage.SMTP_COMMAND, "^RCPT", "451 4.3.2 try again later")),
    MESSAGE_TOO_LARGE(Fault.answer(Stage.SMTP_BEFORE_DOT, "", "552 5.3.4 message too large")),
    SENDER_REFUSED(Fault.answer(Stage.SMTP_COMMAND, "^MAIL FROM:<[^>]", "553 5.7.1 not your address")),
    NULL_SENDER_REFUSED(Fault.answer(Stage.SMTP_COMMAND, "^MAIL FROM:<>", "550 5.7.1 no null sender here")),
    SMTP_PASSWORD_REFUSED(Fault.answer(Stage.SMTP_COMMAND, "^AUTH", "535 5.7.8 wrong password")),
    SMTP_HANGS_AT_GREETING(Fault.hold(Stage.SMTP_GREETING, "")),
    SMTP_HANGS_BEFORE_MAIL(Fault.hold(Stage.SMTP_COMMAND, "^MAIL FROM")),
    SMTP_HANGS_AFTER_DOT(Fault.hold(Stage.SMTP_AFTER_DOT, "")),
    DROPPED_BEFORE_DOT(Fault.drop(Stage.SMTP_CONTENT, "")),
    DROPPED_AFTER_DOT(Fault.drop(Stage.SMTP_AFTER_DOT, "")),
    NO_EIGHT_BIT(Fault.rewrite("^250-8BITMIME\\r\\n", "")),
    STARTTLS_STRIPPED(Fault.rewrite("^250-STARTTLS\\r\\n| STARTTLS\\b", "")),
    /** The certificate shown after STARTTLS has expired; nothing of the conversation changes. */
    CERTIFICATE_EXPIRED(),
    NO_IDLE(
            Fault.rewrite("(?<=CAPABILITY.{0,200}) IDLE\\b", ""),
            Fault.answer(Stage.IMAP_COMMAND, "^\\S+ IDLE", "BAD unknown command")),
    NO_MOVE(
            Fault.rewrite("(?<=CAPABILITY.{0,200}) MOVE\\b", ""),
            Fault.answer(Stage.IMAP_COMMAND, "^\\S+ (UID )?MOVE", "BAD unknown command")),
    NO_UIDPLUS(
            Fault.rewrite("(?<=CAPABILITY.{0,200}) UIDPLUS\\b|\\[COPYUID [^\\]]*\\] ", ""),
            Fault.answer(Stage.IMAP_COMMAND, "^\\S+ UID EXPUNGE", "BAD unknown command")),
    NO_SPECIAL_USE(Fault.rewrite("(?<=^\\* LIST \\([^)]{0,200})\\\\(Sent|Trash|Archive|Junk|Drafts)\\b ?", "")),
    KEYWORDS_REFUSED(
            Fault.rewrite("(?<=PERMANENTFLAGS \\([^)]{0,200}) ?\\\\\\*", ""),
            Fault.answer(
                    Stage.IMAP_COMMAND,
                    "^\\S+ UID STORE \\S+ \\+FLAGS\\S* \\([^\\\\)]",
                    "NO keywords are not kept here")),
    QUOTA_FULL(Fault.answer(
            Stage.IMAP_COMMAND, "^\\S+ ((UID )?(COPY|MOVE)|APPEND)", "NO [OVERQUOTA] the mailbox is full")),
    READ_ONLY_FOLDER(
            Fault.rewrite("\\[READ-WRITE\\]", "[READ-ONLY]"),
            Fault.answer(Stage.IMAP_COMMAND, "^\\S+ UID (STORE|MOVE|EXPUNGE)", "NO the folder is read-only")),
    TOO_MANY_CONNECTIONS(
            Fault.answer(Stage.IMAP_GREETING, "^([4-9]|\\d\\d)$", "* BYE [LIMIT] too many connections of this user")),
    IMAP_HANGS_AT_FETCH(Fault.hold(Stage.IMAP_ANSWER, "UID FETCH \\S+ .*BODY.PEEK\\[\\]")),
    IMAP_HANGS_BEFORE_MOVE(Fault.hold(Stage.IMAP_COMMAND, "UID MOVE")),
    IMAP_HANGS_AFTER_MOVE(Fault.hold(Stage.IMAP_ANSWER, "UID MOVE")),
    DROPPED_AFTER_MOVE(Fault.drop(Stage.IMAP_ANSWER, "UID MOVE")),
    DROPPED_AFTER_APPEND(Fault.drop(Stage.IMAP_ANSWER, "APPEND")),
    DROPPED_AFTER_EXPUNGE(Fault.drop(Stage.IMAP_ANSWER, "UID EXPUNGE"));

    private final List<Fault> faults;

    Trouble(Fault... faults) {
        this.faults = List.of(faults);
    }

    List<Fault> faults() {
        return faults;
    }

    /** Written with hyphens: {@code dropped-after-dot}. */
    public String written() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * @throws IllegalArgumentException naming all there are
     */
    static Trouble named(String written) {
        return Arrays.stream(values())
                .filter(t -> t.written().equals(written))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no trouble \"" + written + "\"; there are "
                        + Arrays.stream(values()).map(Trouble::written).toList()));
    }
}
