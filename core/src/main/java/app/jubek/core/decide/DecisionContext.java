package app.jubek.core.decide;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Agreements;
import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.Refusal;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.Clearance;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.schedule.Opening;
import app.jubek.core.template.Prepared;
import app.jubek.core.view.MessageContext;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;

/**
 * All that a decision needs and that is not in the message.
 *
 * @param context what criteria ask for, too
 * @param opening by which schedules go
 * @param onSince when each rule was last switched on; a rule not named was always on
 * @param prepared templates and documents of the mailbox
 * @param agreements of addresses outside the own domains
 */
public record DecisionContext(
        MessageContext context,
        Opening opening,
        ReplyHistory history,
        HopMark hops,
        Map<RuleId, Instant> onSince,
        Prepared prepared,
        Agreements agreements) {
    public DecisionContext {
        onSince = Map.copyOf(onSince);
    }

    /**
     * For trying rules out: nobody was answered yet, everybody outside has agreed, every rule was always on, and no
     * template is at hand.
     */
    public static DecisionContext tryingOut(MessageContext context, Opening opening, HopMark hops) {
        return new DecisionContext(
                context, opening, ReplyHistory.empty(), hops, Map.of(), Prepared.nothing(), new Agreements.Everybody());
    }

    /** The same for another message. */
    public DecisionContext of(MessageContext other) {
        return new DecisionContext(other, opening, history, hops, onSince, prepared, agreements);
    }

    /** The same after other answers. */
    public DecisionContext after(ReplyHistory answers) {
        return new DecisionContext(context, opening, answers, hops, onSince, prepared, agreements);
    }

    public OwnSide own() {
        return context.own();
    }

    public Instant now() {
        return context.now();
    }

    /** Why nothing may be handed on to an address now; empty where it may. */
    Optional<Refusal> againstDestination(MailAddress to) {
        return Clearance.againstDestination(to, own(), agreements).map(why -> Refusal.of(why, to.address()));
    }

    /** Whether an automatic answer now would come more than a day after the message. */
    boolean isOverLate() {
        return Clearance.isOverLate(context.received(), now());
    }

    /** Times of arrival have whole seconds (RFC 9051, date-time), so a rule counts as on from the second's beginning. */
    private boolean receivedBeforeOn(RuleId rule) {
        return Optional.ofNullable(onSince.get(rule))
                .filter(this::receivedBefore)
                .isPresent();
    }

    private boolean receivedBefore(Instant since) {
        return context.received().isBefore(since.truncatedTo(ChronoUnit.SECONDS));
    }

    /** Schedules go by the time of arrival. */
    Silence silence() {
        Silence bySchedule = Silence.bySchedule(context.received(), opening);
        return rule -> receivedBeforeOn(rule.id()) ? Optional.of(Verdict.NOT_YET_ON) : bySchedule.of(rule);
    }

    /** Whether every rule that is on was so when the message came in. */
    boolean isAllOn() {
        return onSince.values().stream().noneMatch(this::receivedBefore);
    }
}
