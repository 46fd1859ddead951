package app.jubek.core.step;

import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/** When something that leaves goes out. */
public sealed interface Release {
    /** How many messages a person lets go before the rest leaves by itself. */
    int FIRST = 5;

    Statement statement();

    /** Whether each waits for a person, however many were let go. */
    default boolean isOnApproval() {
        return false;
    }

    /** Whether it goes by hours, which may be others when the time comes. */
    default boolean isAtOpening() {
        return false;
    }

    /** The name of the hours by which it goes; empty for those of the mailbox, or for none. */
    default Optional<String> hours() {
        return Optional.empty();
    }

    /**
     * The instant from which it may go; empty when it waits for a person.
     *
     * @param planned when it was written
     * @param approved messages of the same rule that a person let go unchanged
     */
    Optional<Instant> due(Instant planned, Opening opening, int approved);

    /** Releases that say nothing beyond what they are. */
    enum Plain implements Release, Code {
        AT_ONCE {
            @Override
            public Optional<Instant> due(Instant planned, Opening opening, int approved) {
                return Optional.of(planned);
            }
        },
        /** At once while the mailbox is open; a mailbox that never opens leaves it to a person. */
        AT_OPENING {
            @Override
            public boolean isAtOpening() {
                return true;
            }

            @Override
            public Optional<Instant> due(Instant planned, Opening opening, int approved) {
                return OPEN.isActive(planned, opening) ? Optional.of(planned) : OPEN.nextChange(planned, opening);
            }
        },
        ON_APPROVAL {
            @Override
            public boolean isOnApproval() {
                return true;
            }

            @Override
            public Optional<Instant> due(Instant planned, Opening opening, int approved) {
                return Optional.empty();
            }
        },
        /** When the substitute of an absence has agreed to take over. */
        ONCE_AGREED {
            @Override
            public Optional<Instant> due(Instant planned, Opening opening, int approved) {
                return Optional.empty();
            }
        },
        FIRST_ON_APPROVAL {
            @Override
            public Optional<Instant> due(Instant planned, Opening opening, int approved) {
                return approved < FIRST ? Optional.empty() : Optional.of(planned);
            }
        };

        private static final Schedule OPEN = new Schedule(Schedule.Hours.INSIDE, Period.OPEN);

        @Override
        public String id() {
            return "RELEASE_" + name();
        }

        @Override
        public Statement statement() {
            return with();
        }
    }

    /**
     * At once while hours with a name are open, else when they open next; hours that never open, or that the mailbox
     * does not have, leave it to a person.
     *
     * @param of the name of the hours
     */
    record AtOpeningOf(String of) implements Release {
        @Override
        public boolean isAtOpening() {
            return true;
        }

        @Override
        public Optional<String> hours() {
            return Optional.of(of);
        }

        @Override
        public Optional<Instant> due(Instant planned, Opening opening, int approved) {
            return opening.named(of).flatMap(own -> Plain.AT_OPENING.due(planned, own, approved));
        }

        @Override
        public Statement statement() {
            return StepPhrase.RELEASE_AT_OPENING_OF.with(of);
        }
    }

    /**
     * A while in which it can be stopped.
     *
     * @param minutes 1 to 1200: an answer that comes much later may surprise
     */
    record After(int minutes) implements Release {
        private static final int MOST = 1200;

        public After {
            if (minutes < 1 || minutes > MOST) {
                throw new IllegalArgumentException("mail can wait for 1 to " + MOST + " minutes before it goes out");
            }
        }

        @Override
        public Optional<Instant> due(Instant planned, Opening opening, int approved) {
            return Optional.of(planned.plus(Duration.ofMinutes(minutes)));
        }

        @Override
        public Statement statement() {
            return StepPhrase.RELEASE_AFTER.with(minutes);
        }
    }

    /**
     * Of a reply: a composing service writes it from the message, and a person approves, changes or discards it.
     * Nothing of it goes out by itself.
     *
     * @param instruction what the service is asked to write, 1 to 2,000 characters
     */
    record Composed(String instruction) implements Release {
        private static final int LONGEST = 2_000;

        public Composed {
            instruction = instruction.strip();
            if (instruction.isEmpty() || instruction.length() > LONGEST) {
                throw new IllegalArgumentException("say in 1 to " + LONGEST + " characters what is to be composed");
            }
        }

        @Override
        public boolean isOnApproval() {
            return true;
        }

        @Override
        public Optional<Instant> due(Instant planned, Opening opening, int approved) {
            return Optional.empty();
        }

        @Override
        public Statement statement() {
            return StepPhrase.RELEASE_COMPOSED.with();
        }
    }
}
