package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import app.jubek.core.template.TemplateId;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Code;
import app.jubek.core.wording.Phrase;
import app.jubek.core.wording.Statement;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** One thing a rule does with a message. */
public sealed interface Step
        permits Step.HandOn,
                Step.Forward,
                Step.Redirect,
                Step.Reply,
                Step.File,
                Step.Copy,
                Step.Mark,
                Step.Remind,
                Step.Notify,
                Step.Plain,
                FollowUp {
    StepKind kind();

    /** What was done, as a participle: "forwarded to education@ostrel-gardens.example". */
    Statement statement();

    /** When it goes out, of a step that makes something leave. */
    default Release release() {
        return Release.Plain.AT_ONCE;
    }

    /** The texts that are written in the step itself and go out as they stand. */
    default List<String> ownTexts() {
        return List.of();
    }

    /**
     * A new message from the mailbox's identity, with the original in it.
     *
     * @param to addresses
     * @param groups of the address book, by name; everybody in them
     * @param leaves the message leaves the inbox once it is handed on
     */
    record Forward(List<MailAddress> to, List<String> groups, ForwardOptions options, boolean leaves)
            implements Step, HandOn {
        public Forward(List<MailAddress> to, String note, boolean leaves) {
            this(to, List.of(), ForwardOptions.note(note), leaves);
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
        public Statement statement() {
            return StepPhrase.FORWARDED_TO.with(Destinations.argument(to, groups));
        }

        @Override
        public Release release() {
            return options.release();
        }

        @Override
        public List<String> ownTexts() {
            return List.of(options.note());
        }
    }

    /**
     * The same message handed on, its bytes unchanged (RFC 5322 §3.6.6).
     *
     * @param to addresses
     * @param groups of the address book, by name; everybody in them
     * @param leaves the message leaves the inbox once it is handed on
     * @param release when it goes out
     */
    record Redirect(List<MailAddress> to, List<String> groups, boolean leaves, Release release)
            implements Step, HandOn {
        public Redirect(List<MailAddress> to) {
            this(to, false);
        }

        public Redirect(List<MailAddress> to, boolean leaves) {
            this(to, List.of(), leaves, Release.Plain.AT_ONCE);
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
        public Statement statement() {
            return StepPhrase.REDIRECTED_TO.with(Destinations.argument(to, groups));
        }
    }

    /**
     * An answer in the mailbox's name, written here or taken from a template.
     *
     * @param template whose words are filled from the message answered; then there are none here
     * @param subject empty for "Auto: " and the subject answered (RFC 3834 §3.1.5)
     * @param text plain text
     */
    record Reply(Optional<TemplateId> template, String subject, String text, ReplyOptions options) implements Step {
        public Reply(String subject, String text, Duration oncePer) {
            this(Optional.empty(), subject, text, ReplyOptions.usual(ReplyFrequency.once(oncePer)));
        }

        public Reply(TemplateId template, ReplyOptions options) {
            this(Optional.of(template), "", "", options);
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
        public List<String> ownTexts() {
            return List.of(subject, text);
        }

        @Override
        public Statement statement() {
            return StepPhrase.REPLIED_TO.with();
        }

        @Override
        public Release release() {
            return options.release();
        }
    }

    /** Moved to a folder. */
    record File(TargetFolder target) implements Step {
        public File(String folder) {
            this(TargetFolder.folder(folder));
        }

        @Override
        public StepKind kind() {
            return StepKind.FILE;
        }

        @Override
        public Statement statement() {
            return StepPhrase.FILED_IN.with(target.argument());
        }
    }

    /** Copied to a folder; the message stays where it is. */
    record Copy(TargetFolder target) implements Step {
        public Copy(String folder) {
            this(TargetFolder.folder(folder));
        }

        @Override
        public StepKind kind() {
            return StepKind.COPY;
        }

        @Override
        public Statement statement() {
            return StepPhrase.COPIED_TO.with(target.argument());
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
        public Statement statement() {
            List<Statement> marks = Stream.concat(
                            add.stream().map(MarkPhrase::added), remove.stream().map(MarkPhrase::removed))
                    .toList();
            return marks.size() == 1 ? marks.get(0) : Phrase.PLAIN.with(Argument.and(marks));
        }
    }

    /**
     * Flagged, and tagged with the last day on which a person wants to look at it.
     *
     * @param days after the day it came in; 0 for that very day
     */
    record Remind(int days) implements Step {
        /** Before the day, as 2026-12-01. */
        public static final String TAG = "look-by-";

        private static final int MOST = 365;

        public Remind {
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
        public Statement statement() {
            return StepPhrase.REMINDED.with(days);
        }
    }

    /** Told about in the browser, with a sound. */
    record Notify(Sound sound) implements Step {
        @Override
        public StepKind kind() {
            return StepKind.NOTIFY;
        }

        @Override
        public Statement statement() {
            return StepPhrase.NOTIFIED.with();
        }
    }

    /** Steps that say nothing beyond what they are. */
    enum Plain implements Step, Code {
        /** Moved to the trash. */
        TRASH(StepKind.TRASH),
        /** Deleted for good. */
        DELETE(StepKind.DELETE),
        /** Left in the inbox, whatever else happens to it. */
        KEEP(StepKind.KEEP),
        /** Moved to the folder that the mail server keeps for it (RFC 6154 §2). */
        ARCHIVE(StepKind.ARCHIVE),
        /** Moved from the folder that the mail server keeps for junk to the inbox, and marked as not junk. */
        OUT_OF_JUNK(StepKind.OUT_OF_JUNK);

        private final StepKind kind;

        Plain(StepKind kind) {
            this.kind = kind;
        }

        @Override
        public StepKind kind() {
            return kind;
        }

        @Override
        public String id() {
            return "DONE_" + name();
        }

        @Override
        public Statement statement() {
            return with();
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
                    ? new Forward(to, groups, forward.options(), leaves)
                    : new Redirect(to, groups, leaves, release());
        }
    }
}
