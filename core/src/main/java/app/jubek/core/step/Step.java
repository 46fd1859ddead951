package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import app.jubek.core.text.Words;
import java.time.Duration;
import java.util.List;

/** One thing a rule does with a message. */
public sealed interface Step {
    StepKind kind();

    /** What was done, as a participle: "forwarded to education@ostrel-gardens.example". */
    String done();

    /**
     * A new message from the mailbox's identity, with the original in it.
     *
     * @param note stands above the original; may be empty
     */
    record Forward(List<MailAddress> to, String note) implements Step, HandOn {
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

    /** The same message handed on, its octets unchanged (RFC 5322 §3.6.6). */
    record Redirect(List<MailAddress> to) implements Step, HandOn {
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
     * An answer in the mailbox's name.
     *
     * @param subject empty for "Auto: " and the subject answered (RFC 3834 §3.1.5)
     * @param text plain text
     * @param oncePer how long one writer gets no second answer from the same rule; at least a day
     */
    record Reply(String subject, String text, Duration oncePer) implements Step {
        public static final Duration ONCE_PER = Duration.ofDays(7);

        public Reply {
            if (text.isBlank()) {
                throw new IllegalArgumentException("the answer has no text: write one");
            }
            if (oncePer.compareTo(Duration.ofDays(1)) < 0) {
                throw new IllegalArgumentException("an answer goes to one writer at most once in one day or longer");
            }
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
            folder = folder.strip();
            if (folder.isEmpty() || folder.equalsIgnoreCase("INBOX")) {
                throw new IllegalArgumentException("name a folder other than the inbox to file in");
            }
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

    /** Marks added to the message where it lies. */
    record Mark(List<Flag> flags) implements Step {
        public Mark {
            flags = List.copyOf(flags);
            if (flags.isEmpty()) {
                throw new IllegalArgumentException("name at least one mark to add");
            }
        }

        @Override
        public StepKind kind() {
            return StepKind.MARK;
        }

        @Override
        public String done() {
            return "marked " + Words.and(flags.stream().map(Flag::words).toList());
        }
    }

    /** IMAP system flags that a rule may set (RFC 9051 §2.3.2). */
    enum Flag {
        SEEN("\\Seen", "read"),
        FLAGGED("\\Flagged", "flagged");

        private final String imap;
        private final String words;

        Flag(String imap, String words) {
            this.imap = imap;
            this.words = words;
        }

        public String imap() {
            return imap;
        }

        public String words() {
            return words;
        }
    }

    /** A step that hands the message on to others. */
    sealed interface HandOn extends Step permits Forward, Redirect {
        List<MailAddress> to();
    }
}
