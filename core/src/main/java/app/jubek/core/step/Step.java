package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import app.jubek.core.template.TemplateId;
import app.jubek.core.text.Words;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** One thing a rule does with a message. */
public sealed interface Step {
    StepKind kind();

    /** What was done, as a participle: "forwarded to education@ostrel-gardens.example". */
    String done();

    /**
     * A new message from the mailbox's identity, with the original in it.
     *
     * @param to addresses
     * @param groups of the address book, by name; everybody in them
     * @param leaves the message leaves the inbox once it is handed on
     */
    record Forward(List<MailAddress> to, List<String> groups, Cover cover, boolean leaves) implements Step, HandOn {
        public Forward(List<MailAddress> to, String note, boolean leaves) {
            this(to, List.of(), Cover.note(note), leaves);
        }

        public Forward(List<MailAddress> to, String note) {
            this(to, note, false);
        }

        public Forward {
            groups = List.copyOf(groups);
            to = Destinations.checked(to, groups);
        }

        @Override
        public StepKind kind() {
            return StepKind.FORWARD;
        }

        @Override
        public String done() {
            return "forwarded to " + Destinations.inWords(to, groups);
        }
    }

    /**
     * The same message handed on, its octets unchanged (RFC 5322 §3.6.6).
     *
     * @param to addresses
     * @param groups of the address book, by name; everybody in them
     * @param leaves the message leaves the inbox once it is handed on
     */
    record Redirect(List<MailAddress> to, List<String> groups, boolean leaves) implements Step, HandOn {
        public Redirect(List<MailAddress> to) {
            this(to, false);
        }

        public Redirect(List<MailAddress> to, boolean leaves) {
            this(to, List.of(), leaves);
        }

        public Redirect {
            groups = List.copyOf(groups);
            to = Destinations.checked(to, groups);
        }

        @Override
        public StepKind kind() {
            return StepKind.REDIRECT;
        }

        @Override
        public String done() {
            return "redirected to " + Destinations.inWords(to, groups);
        }
    }

    /**
     * An answer in the mailbox's name, written here or taken from a template.
     *
     * @param template whose words are filled from the message answered; then there are none here
     * @param subject empty for "Auto: " and the subject answered (RFC 3834 §3.1.5)
     * @param text plain text
     */
    record Reply(Optional<TemplateId> template, String subject, String text, Manner manner) implements Step {
        public Reply(String subject, String text, Duration oncePer) {
            this(Optional.empty(), subject, text, Manner.usual(Often.once(oncePer)));
        }

        public Reply(TemplateId template, Manner manner) {
            this(Optional.of(template), "", "", manner);
        }

        public Reply {
            if (template.isPresent() && !(subject.isEmpty() && text.isEmpty())) {
                throw new IllegalArgumentException("an answer is written here or taken from a template, not both");
            }
            if (template.isEmpty() && text.isBlank()) {
                throw new IllegalArgumentException("the answer has no text: write one");
            }
        }

        /** The subject of an answer: its own, else "Auto: " and the subject answered. */
        public static String subject(String own, String answered) {
            return own.isBlank() ? "Auto: " + answered : own;
        }

        @Override
        public StepKind kind() {
            return StepKind.REPLY;
        }

        @Override
        public String done() {
            return "answered";
        }
    }

    /** Moved to a folder. */
    record File(Into into) implements Step {
        public File(String folder) {
            this(Into.folder(folder));
        }

        @Override
        public StepKind kind() {
            return StepKind.FILE;
        }

        @Override
        public String done() {
            return "filed in " + into.inWords();
        }
    }

    /** Copied to a folder; the message stays where it is. */
    record Copy(Into into) implements Step {
        public Copy(String folder) {
            this(Into.folder(folder));
        }

        @Override
        public StepKind kind() {
            return StepKind.COPY;
        }

        @Override
        public String done() {
            return "copied to " + into.inWords();
        }
    }

    /**
     * Marks set on the message, or taken off it, where it lies.
     *
     * @param add IMAP system flags and keywords (RFC 9051 §2.3.2); the latter are our tags
     * @param remove the same
     */
    record Mark(List<String> add, List<String> remove) implements Step {
        public Mark {
            add = add.stream().map(Flag::checked).toList();
            remove = remove.stream().map(Flag::checked).toList();
            if (add.isEmpty() && remove.isEmpty()) {
                throw new IllegalArgumentException("name at least one mark to add or to take off");
            }
        }

        /** With system flags alone. */
        public static Mark with(Flag... flags) {
            return new Mark(java.util.Arrays.stream(flags).map(Flag::imap).toList(), List.of());
        }

        @Override
        public StepKind kind() {
            return StepKind.MARK;
        }

        @Override
        public String done() {
            String added = add.isEmpty()
                    ? ""
                    : "marked " + Words.and(add.stream().map(Flag::inWords).toList());
            String taken = remove.isEmpty()
                    ? ""
                    : "freed of the mark "
                            + Words.and(remove.stream().map(Flag::inWords).toList());
            return added + (added.isEmpty() || taken.isEmpty() ? "" : " and ") + taken;
        }
    }

    /**
     * Flagged, and tagged with the last day on which a person wants to look at it.
     *
     * @param days after the day it came in; 0 for that very day
     */
    record LookBy(int days) implements Step {
        /** Before the day, as 2026-12-01. */
        public static final String TAG = "look-by-";

        private static final int MOST = 365;

        public LookBy {
            if (days < 0 || days > MOST) {
                throw new IllegalArgumentException("a message is to be looked at within 0 to " + MOST + " days");
            }
        }

        public Mark mark(LocalDate cameIn) {
            return new Mark(List.of(Flag.FLAGGED.imap(), TAG + cameIn.plusDays(days)), List.of());
        }

        @Override
        public StepKind kind() {
            return StepKind.MARK;
        }

        @Override
        public String done() {
            return "flagged to be looked at "
                    + (days == 0 ? "the same day" : "within " + (days == 1 ? "a day" : days + " days"));
        }
    }

    /** Told about in the browser, with a sound. */
    record Tell(Sound sound) implements Step {
        @Override
        public StepKind kind() {
            return StepKind.TELL;
        }

        @Override
        public String done() {
            return "told about";
        }
    }

    /** Steps that say nothing beyond what they are. */
    enum Plain implements Step {
        /** Moved to the trash. */
        TRASH(StepKind.TRASH, "put into the trash"),
        /** Deleted for good. */
        DELETE(StepKind.DELETE, "deleted for good"),
        /** Left in the inbox, whatever else happens to it. */
        KEEP(StepKind.KEEP, "kept in the inbox"),
        /** Moved to the folder that the mail server keeps for it (RFC 6154 §2). */
        ARCHIVE(StepKind.ARCHIVE, "archived"),
        /** Moved from the folder that the mail server keeps for junk to the inbox, and marked as not junk. */
        OUT_OF_JUNK(StepKind.OUT_OF_JUNK, "taken out of junk");

        private final StepKind kind;
        private final String done;

        Plain(StepKind kind, String done) {
            this.kind = kind;
            this.done = done;
        }

        @Override
        public StepKind kind() {
            return kind;
        }

        @Override
        public String done() {
            return done;
        }
    }

    /** A step that hands the message on to others. */
    sealed interface HandOn extends Step permits Forward, Redirect {
        List<MailAddress> to();

        List<String> groups();

        boolean leaves();

        /** The same step to one address. */
        default HandOn narrowedTo(MailAddress one) {
            return with(List.of(one), List.of(), leaves());
        }

        /** The same step to other addresses, and to its groups as before. */
        default HandOn to(List<MailAddress> others) {
            return with(others, groups(), leaves());
        }

        /** The same step, after which the message leaves the inbox. */
        default HandOn leaving() {
            return with(to(), groups(), true);
        }

        private HandOn with(List<MailAddress> to, List<String> groups, boolean leaves) {
            return this instanceof Forward forward
                    ? new Forward(to, groups, forward.cover(), leaves)
                    : new Redirect(to, groups, leaves);
        }
    }
}
