package app.jubek.core.realtest;

import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * How far a message has come that was sent as a test: as far as a mailbox shows it that is read here. What left for
 * anywhere else can be followed no further.
 *
 * @param fault why it could not be sent
 * @param cameIn when the mailbox got it
 * @param steps that were planned for it
 * @param seen what came of it in other mailboxes that are read here
 * @param readHere addresses of those, in lower case
 */
public record Following(
        Instant sentAt,
        Optional<Statement> fault,
        Optional<Instant> cameIn,
        List<Step> steps,
        List<Seen> seen,
        Set<String> readHere,
        Instant now) {
    /** What is not there by then is stuck. */
    public static final Duration PATIENCE = Duration.ofMinutes(5);

    public Following {
        steps = List.copyOf(steps);
        seen = List.copyOf(seen);
        readHere = Set.copyOf(readHere);
    }

    /**
     * @param does as a participle
     * @param recipient in lower case; empty for what is done in the mailbox
     * @param because why it is where it is, where there is something to say
     */
    public record Step(
            Statement does,
            String recipient,
            StepState state,
            Optional<Instant> settledAt,
            Optional<Statement> because) {}

    /**
     * @param at one of the addresses of the mailbox that got it
     */
    public record Seen(Set<String> at, String sender, String subject, Instant when) {
        public Seen {
            at = Set.copyOf(at);
        }
    }

    /** How it stands. */
    public enum Stand {
        DONE,
        /** It left, and nobody here can see further. */
        BEYOND,
        AWAITED,
        /** For a person, however long that takes. */
        WAITS,
        NOT_DONE,
        STUCK
    }

    /**
     * @param what a step; empty for the message itself
     */
    public record Line(Optional<Statement> what, Stand stand, Statement how) {}

    /** The message itself first, and then each step. */
    public List<Line> lines() {
        Line itself = itself();
        return itself.stand() == Stand.DONE
                ? Stream.concat(Stream.of(itself), steps.stream().map(this::line))
                        .toList()
                : List.of(itself);
    }

    /** Whether something is still to come of it, by itself or by a person. */
    public static boolean isOpen(List<Line> lines) {
        return lines.stream().anyMatch(line -> line.stand() == Stand.AWAITED || line.stand() == Stand.WAITS);
    }

    private Line itself() {
        if (fault.isPresent()) {
            return new Line(Optional.empty(), Stand.STUCK, RealTestPhrase.NOT_SENT.with(fault.get()));
        }
        if (cameIn.isPresent()) {
            return new Line(Optional.empty(), Stand.DONE, RealTestPhrase.CAME_IN.with(seconds(cameIn.get())));
        }
        return isOver(sentAt)
                ? new Line(Optional.empty(), Stand.STUCK, RealTestPhrase.NOT_COME_IN.with(PATIENCE.toMinutes()))
                : new Line(Optional.empty(), Stand.AWAITED, RealTestPhrase.ON_ITS_WAY.with());
    }

    private Line line(Step step) {
        return switch (step.state()) {
            case SENT, UNCERTAIN, UNDONE -> step.recipient().isEmpty() ? done(step) : left(step);
            case PLANNED, READY, SENDING -> underWay(step);
            case HELD -> line(step, Stand.WAITS, told(step, RealTestPhrase.WAITS, RealTestPhrase.WAITS_AS));
            case FAILED -> line(step, Stand.STUCK, told(step, RealTestPhrase.FAILED, RealTestPhrase.FAILED_AS));
            case WITHHELD, DISCARDED ->
                line(step, Stand.NOT_DONE, told(step, RealTestPhrase.NOT_DONE, RealTestPhrase.NOT_DONE_AS));
        };
    }

    private static Statement told(Step step, RealTestPhrase alone, RealTestPhrase because) {
        return step.because().map(because::with).orElseGet(alone::with);
    }

    private static Line line(Step step, Stand stand, Statement how) {
        return new Line(Optional.of(step.does()), stand, how);
    }

    private Line done(Step step) {
        return line(step, Stand.DONE, RealTestPhrase.DONE.with(seconds(settled(step))));
    }

    private Line underWay(Step step) {
        return isOver(cameIn.orElse(sentAt))
                ? line(step, Stand.STUCK, RealTestPhrase.NOT_DONE_IN.with(PATIENCE.toMinutes()))
                : line(step, Stand.AWAITED, RealTestPhrase.UNDER_WAY.with());
    }

    private Line left(Step step) {
        Optional<Seen> there = seen.stream()
                .filter(each -> each.at().contains(step.recipient()))
                .findFirst();
        if (there.isPresent()) {
            Seen found = there.get();
            return line(
                    step,
                    Stand.DONE,
                    RealTestPhrase.SEEN_AT.with(
                            step.recipient(), seconds(found.when()), found.sender(), found.subject()));
        }
        if (!readHere.contains(step.recipient())) {
            return line(step, Stand.BEYOND, RealTestPhrase.LEFT_US.with(seconds(settled(step))));
        }
        return isOver(settled(step))
                ? line(step, Stand.STUCK, RealTestPhrase.NOT_SEEN_AT.with(step.recipient(), PATIENCE.toMinutes()))
                : line(step, Stand.AWAITED, RealTestPhrase.NOT_YET_AT.with(step.recipient()));
    }

    private Instant settled(Step step) {
        return step.settledAt().or(() -> cameIn).orElse(sentAt);
    }

    private boolean isOver(Instant since) {
        return since.plus(PATIENCE).isBefore(now);
    }

    /** Since it was sent; mail servers date what they get by whole seconds, which may lie before. */
    private long seconds(Instant then) {
        return Math.max(0, Duration.between(sentAt, then).toSeconds());
    }
}
