package app.jubek.core.absence;

import app.jubek.core.decide.Decision;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.StepKind;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** What an absence would have done to past mail, message by message. */
public final class LookBack {
    private static final Set<Reason> LISTS = EnumSet.of(Reason.LIST, Reason.MASS_MAIL);
    private static final Set<Reason> MACHINES = EnumSet.of(
            Reason.NULL_RETURN_PATH,
            Reason.NO_RETURN_PATH,
            Reason.AUTOMATIC,
            Reason.REPORT,
            Reason.CALENDAR,
            Reason.SYSTEM_SENDER,
            Reason.NO_REPLY_SENDER,
            Reason.POSTMASTER,
            Reason.SPAM);

    /** What became of a message. */
    public enum Fate {
        ANSWERED,
        /** The same sender was answered before. */
        ANSWERED_BEFORE,
        LIST,
        AUTOMATIC,
        /** Of a rule of the course. */
        ANOTHER_ANSWER,
        /** For other reasons. */
        NOT_ANSWERED,
        HANDED_OVER
    }

    private final Map<Fate, Set<Long>> messages = new EnumMap<>(Fate.class);

    /** What one of the absence's rules makes of a message. */
    public void note(long message, Decision decision, RuleId rule) {
        boolean handedOver = Stream.concat(
                        decision.planned().stream(),
                        decision.notDone().stream().filter(NotDone::waits).map(NotDone::planned))
                .anyMatch(step -> step.rule().equals(rule) && step.step().kind().handsOn());
        if (handedOver) {
            add(Fate.HANDED_OVER, message);
        }
        boolean answered = decision.planned().stream().anyMatch(step -> isReply(step, rule))
                || decision.notDone().stream().anyMatch(not -> not.waits() && isReply(not.planned(), rule));
        if (answered) {
            add(Fate.ANSWERED, message);
        }
        decision.notDone().stream()
                .filter(not -> !not.waits() && isReply(not.planned(), rule))
                .forEach(not -> add(fate(not.reason()), message));
    }

    private static boolean isReply(PlannedStep step, RuleId rule) {
        return step.rule().equals(rule) && step.step().kind() == StepKind.REPLY;
    }

    private void add(Fate fate, long message) {
        messages.computeIfAbsent(fate, f -> new LinkedHashSet<>()).add(message);
    }

    private static Fate fate(Reason why) {
        if (LISTS.contains(why)) {
            return Fate.LIST;
        }
        if (MACHINES.contains(why)) {
            return Fate.AUTOMATIC;
        }
        return switch (why) {
            case ANSWERED_BEFORE -> Fate.ANSWERED_BEFORE;
            case SUPERSEDED -> Fate.ANOTHER_ANSWER;
            default -> Fate.NOT_ANSWERED;
        };
    }

    /** The messages of one fate, in the order in which they were noted. */
    public List<Long> of(Fate fate) {
        return List.copyOf(messages.getOrDefault(fate, Set.of()));
    }
}
