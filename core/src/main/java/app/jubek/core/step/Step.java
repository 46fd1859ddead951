package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import app.jubek.core.template.TemplateId;
import app.jubek.core.text.Words;
import java.time.Duration;
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
     * @param note stands above the original; may be empty
     * @param leaves the message leaves the inbox once it is handed on
     */
    record Forward(List<MailAddress> to, String note, boolean leaves) implements Step, HandOn {
        public Forward(List<MailAddress> to, String note) {
            this(to, note, false);
        }

        public Forward {
            to = Destinations.checked(to);
        }

        @Override
        public StepKind kind() {
            return StepKind.FORWARD;
        }

        @Override
        public String done() {
            return "forwarded to " + Destinations.inWords(to);
        }
    }

    /**
     * The same message handed on, its octets unchanged (RFC 5322 §3.6.6).
     *
     * @param leaves the message leaves the inbox once it is handed on
     */
    record Redirect(List<MailAddress> to, boolean leaves) implements Step, HandOn {
        public Redirect(List<MailAddress> to) {
            this(to, false);
        }

        public Redirect {
            to = Destinations.checked(to);
        }

        @Override
        public StepKind kind() {
            return StepKind.REDIRECT;
        }

        @Override
        public String done() {
            return "redirected to " + Destinations.inWords(to);
        }
    }

    /**
     * An answer in the mailbox's name, written here or taken from a template.
     *
     * @param template whose subject and text are filled from the message answered; then there are none here
     * @param subject empty for "Auto: " and the subject answered (RFC 3834 §3.1.5)
     * @param text plain text
     * @param oncePer how long one writer gets no second answer from the same rule; at least a day
     */
    record Reply(Optional<TemplateId> template, String subject, String text, Duration oncePer) implements Step {
        public static final Duration ONCE_PER = Duration.ofDays(7);

        public Reply(String subject, String text, Duration oncePer) {
            this(Optional.empty(), subject, text, oncePer);
        }

        public Reply(TemplateId template, Duration oncePer) {
            this(Optional.of(template), "", "", oncePer);
        }

        public Reply {
            if (template.isPresent() && !(subject.isEmpty() && text.isEmpty())) {
                throw new IllegalArgumentException("an answer is written here or taken from a template, not both");
            }
            if (template.isEmpty() && text.isBlank()) {
                throw new IllegalArgumentException("the answer has no text: write one");
            }
            if (oncePer.compareTo(Duration.ofDays(1)) < 0) {
                throw new IllegalArgumentException("an answer goes to one writer at most once in one day or longer");
            }
        }

        /** The subject of an answer to a message with that subject. */
        public String subjectTo(String answered) {
            return subject.isBlank() ? "Auto: " + answered : subject;
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

    /** Moved to a folder, which is made when it is missing. */
    record File(String folder) implements Step {
        public File {
            folder = Folders.named(folder);
        }

        @Override
        public StepKind kind() {
            return StepKind.FILE;
        }

        @Override
        public String done() {
            return "filed in " + folder;
        }
    }

    /** Copied to a folder, which is made when it is missing; the message stays where it is. */
    record Copy(String folder) implements Step {
        public Copy {
            folder = Folders.named(folder);
        }

        @Override
        public StepKind kind() {
            return StepKind.COPY;
        }

        @Override
        public String done() {
            return "copied to " + folder;
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

    /** Steps that say nothing beyond what they are. */
    enum Plain implements Step {
        /** Moved to the trash. */
        TRASH(StepKind.TRASH, "put into the trash"),
        /** Deleted for good. */
        DELETE(StepKind.DELETE, "deleted for good"),
        /** Left in the inbox, whatever else happens to it. */
        KEEP(StepKind.KEEP, "kept in the inbox"),
        /** Told about in the browser. */
        TELL(StepKind.TELL, "told about");

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

        boolean leaves();

        /** The same step to some of its destinations. */
        default HandOn narrowedTo(List<MailAddress> some) {
            return this instanceof Forward forward
                    ? new Forward(some, forward.note(), forward.leaves())
                    : new Redirect(some, leaves());
        }
    }
}
