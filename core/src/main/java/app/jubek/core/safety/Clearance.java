package app.jubek.core.safety;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Agreement;
import app.jubek.core.people.Agreements;
import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.Reason;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/** The last look, immediately before something leaves: the world may have changed since it was planned. */
public final class Clearance {
    private static final Duration IN_TIME = Duration.ofDays(1);

    private Clearance() {}

    /**
     * What is so now.
     *
     * @param agreements of addresses outside the own domains
     * @param ruleOn the rule is still there and switched on
     * @param absenceOver the rule answered for an absence, and that is over
     * @param opens when the hours by which it goes open, where that lies ahead
     * @param awaited why a person is waited for, who has not let it go yet
     * @param approved a person has looked at it and let it go, whatever the limits say
     * @param beforeRestoring the message came in before the database was restored from a backup
     * @param overLate the message came in so long ago that an automatic answer may surprise
     */
    public record Now(
            OwnSide own,
            Agreements agreements,
            boolean ruleOn,
            boolean absenceOver,
            Optional<Instant> opens,
            Optional<Reason> awaited,
            boolean approved,
            boolean beforeRestoring,
            boolean overLate,
            Limits limits,
            Limits.Flow lastHour) {}

    /** What comes of it. */
    public sealed interface Verdict {
        record Clear(Cleared cleared) implements Verdict {}

        record Hold(Reason reason) implements Verdict {}

        record Withhold(Reason reason) implements Verdict {}

        /** The hours by which it goes are others than when it was planned. */
        record Wait(Instant until) implements Verdict {}
    }

    public static Verdict look(Outgoing outgoing, Now now) {
        if (!now.ruleOn()) {
            return new Verdict.Withhold(Reason.RULE_SWITCHED_OFF);
        }
        if (now.absenceOver() && outgoing instanceof Outgoing.Answer) {
            return new Verdict.Withhold(Reason.ABSENCE_OVER);
        }
        boolean handedOn = outgoing instanceof Outgoing.HandedOn;
        Optional<Reason> against =
                handedOn ? againstDestination(outgoing.recipient(), now.own(), now.agreements()) : Optional.empty();
        if (against.isPresent()) {
            return new Verdict.Hold(against.get());
        }
        if (now.opens().isPresent() && !now.approved()) {
            return new Verdict.Wait(now.opens().get());
        }
        return unlessApproved(outgoing, now)
                .<Verdict>map(Verdict.Hold::new)
                .orElse(new Verdict.Clear(new Cleared(outgoing)));
    }

    /** Why nothing may be handed on to an address now; empty where it may. Mail inside needs no agreement, but takes a no. */
    public static Optional<Reason> againstDestination(MailAddress to, OwnSide own, Agreements agreements) {
        Optional<Agreement> agreement = agreements.of(to);
        boolean inside = own.isInside(to);
        if (agreement.map(said -> said.allows(inside)).orElse(inside)) {
            return Optional.empty();
        }
        boolean refused = agreement.filter(Agreement::isRefused).isPresent();
        return Optional.of(refused ? Reason.DESTINATION_DECLINED : Reason.OUTSIDE);
    }

    /** It never leaves the organisation, whatever address somebody names; empty when it would. */
    public static Optional<Cleared> look(Outgoing.Inside letter, OwnSide own) {
        return own.isInside(letter.recipient()) ? Optional.of(new Cleared(letter)) : Optional.empty();
    }

    /**
     * Requests within the last day.
     *
     * @param toAddress that went to the same address, from whichever mailbox
     * @param ofMailbox that the mailbox sent
     * @param byPerson that were sent for the same person
     */
    public record Requests(int toAddress, int ofMailbox, int byPerson) {
        private static final int TO_ADDRESS = 3;
        private static final int OF_MAILBOX = 20;
        private static final int BY_PERSON = 40;

        public boolean isEnough() {
            return toAddress >= TO_ADDRESS || ofMailbox >= OF_MAILBOX || byPerson >= BY_PERSON;
        }

        /** Telling colleagues leaves room for asking those outside. */
        boolean isEnoughForTelling() {
            return toAddress >= TO_ADDRESS || ofMailbox >= OF_MAILBOX / 2 || byPerson >= BY_PERSON / 2;
        }
    }

    /** Nobody is asked so often that the asking does harm; empty when another one has to wait. */
    public static Optional<Cleared> look(Outgoing.Request request, Requests before) {
        boolean enough = request.tellsOnly() ? before.isEnoughForTelling() : before.isEnough();
        return enough ? Optional.empty() : Optional.of(new Cleared(request));
    }

    /** Whether an automatic answer now would come more than a day after the message, or after it was to go out. */
    public static boolean isOverLate(Instant due, Instant now) {
        return due.isBefore(latest(now));
    }

    /** Mail that came in before this is over late: what waited leaves by itself no more. */
    public static Instant latest(Instant now) {
        return now.minus(IN_TIME);
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
        return now.awaited().or(() -> now.limits().reached(now.lastHour()));
    }
}
