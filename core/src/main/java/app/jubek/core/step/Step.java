package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import app.jubek.core.text.Words;
import java.time.Duration;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;

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

    /**
     * Marks added to the message where it lies.
     *
     * @param tags IMAP keywords (RFC 9051 §2.3.2): letters, digits, hyphens and underscores
     */
    record Mark(List<Flag> flags, List<String> tags) implements Step {
        private static final Pattern TAG = Pattern.compile("[A-Za-z0-9][A-Za-z0-9_-]{0,63}");

        public Mark {
            flags = List.copyOf(flags);
            tags = List.copyOf(tags);
            if (flags.isEmpty() && tags.isEmpty()) {
                throw new IllegalArgumentException("name at least one mark to add");
            }
            for (String tag : tags) {
                if (!TAG.matcher(tag).matches()) {
                    throw new IllegalArgumentException(
                            "a tag has letters, digits, - and _ only, at most 64: \"" + tag + "\"");
                }
            }
        }

        /** With system flags alone. */
        public static Mark with(Flag... flags) {
            return new Mark(List.of(flags), List.of());
        }

        @Override
        public StepKind kind() {
            return StepKind.MARK;
        }

        @Override
        public String done() {
            return "marked "
                    + Words.and(Stream.concat(
                                    flags.stream().map(Flag::words),
                                    tags.stream().map(t -> "\"" + t + "\""))
                            .toList());
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
