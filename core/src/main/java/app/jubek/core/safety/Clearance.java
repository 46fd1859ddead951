package app.jubek.core.safety;

import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.Reason;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/** The last look, immediately before something leaves: the world may have changed since it was planned. */
public final class Clearance {
    private static final Duration ANSWERED_WITHIN = Duration.ofDays(1);

    private Clearance() {}

    /**
     * What is so now.
     *
     * @param ruleOn the rule is still there and switched on
     * @param approved a person has looked at it and let it go, whatever the limits say
     * @param beforeRestoring the message came in before the database was restored from a backup
     * @param overLate the message came in so long ago that an automatic answer may surprise
     */
    public record Now(
            OwnSide own,
            boolean ruleOn,
            boolean approved,
            boolean beforeRestoring,
            boolean overLate,
            Flow ofMailbox,
            Flow ofRule) {}

    /**
     * What left within the last hour.
     *
     * @param sent messages
     * @param limit how many may
     */
    public record Flow(int sent, int limit) {
        boolean isFull() {
            return sent >= limit;
        }
    }

    /** What comes of it. */
    public sealed interface Verdict {
        record Clear(Cleared cleared) implements Verdict {}

        record Hold(Reason reason) implements Verdict {}

        record Withhold(Reason reason) implements Verdict {}
    }

    public static Verdict look(Outgoing outgoing, Now now) {
        if (!now.ruleOn()) {
            return new Verdict.Withhold(Reason.RULE_SWITCHED_OFF);
        }
        boolean handedOn = outgoing instanceof Outgoing.HandedOn;
        if (handedOn && !now.own().isInside(outgoing.recipient())) {
            return new Verdict.Hold(Reason.OUTSIDE);
        }
        return unlessApproved(outgoing, now)
                .<Verdict>map(Verdict.Hold::new)
                .orElse(new Verdict.Clear(new Cleared(outgoing)));
    }

    /** A test never leaves the organisation, whatever address somebody names; empty when it would. */
    public static Optional<Cleared> look(Outgoing.SelfTest test, OwnSide own) {
        return own.isInside(test.recipient()) ? Optional.of(new Cleared(test)) : Optional.empty();
    }

    /** Whether an automatic answer now would come more than a day after the message. */
    public static boolean isOverLate(Instant received, Instant now) {
        return received.plus(ANSWERED_WITHIN).isBefore(now);
    }

    private static Optional<Reason> unlessApproved(Outgoing outgoing, Now now) {
        if (now.approved()) {
            return Optional.empty();
        }
        if (now.beforeRestoring()) {
            return Optional.of(Reason.RESTORED);
        }
        if (now.overLate() && outgoing instanceof Outgoing.Answer) {
            return Optional.of(Reason.OVER_LATE);
        }
        if (now.ofRule().isFull()) {
            return Optional.of(Reason.RULE_LIMIT);
        }
        return now.ofMailbox().isFull() ? Optional.of(Reason.HOURLY_LIMIT) : Optional.empty();
    }
}
