package app.jubek.server.signals;

import java.util.Optional;
import java.util.UUID;

/** Something of a mailbox has changed; what, whoever wants to know has to look for. */
public record Signal(Topic topic, UUID mailbox) {
    public enum Topic {
        /** Messages came in, moved or went. */
        MESSAGES,
        /** Steps were planned, or have another state. */
        STEPS,
        /** Steps are ready to be done. */
        WORK,
        NOTICES,
        /** Trials were run anew. */
        TRIALS,
        /** How the watching and the first reading go on, and what is known of the mailbox as a whole. */
        MAILBOX
    }

    String written() {
        return topic + " " + mailbox;
    }

    /** Empty when a newer process speaks of something that this one does not know. */
    static Optional<Signal> read(String written) {
        int space = Math.max(0, written.indexOf(' '));
        try {
            Topic topic = Topic.valueOf(written.substring(0, space));
            return Optional.of(new Signal(topic, UUID.fromString(written.substring(space + 1))));
        } catch (IllegalArgumentException unknown) {
            return Optional.empty();
        }
    }
}
