package app.jubek.core.safety;

import app.jubek.core.plan.Reason;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How many messages may leave a mailbox within an hour, so that a rule that is wrong or a flood does little harm. A sender
 * has a share, so that nobody uses up what others need.
 *
 * @param mailbox of all its rules
 * @param rule of one rule
 * @param destination to one address
 * @param sender about messages of one sender
 */
public record Limits(int mailbox, int rule, int destination, int sender) {
    public static final Limits PRESET = new Limits(200, 100, 100, 50);

    private static final Duration HOUR = Duration.ofHours(1);

    /** What left within the last hour, counted as each limit counts. */
    public record Flow(int ofMailbox, int ofRule, int toDestination, int ofSender) {}

    /** From when on a limit counts. */
    public static Instant since(Instant now) {
        return now.minus(HOUR);
    }

    /** Why nothing more may leave for now; the narrowest limit first. */
    public Optional<Reason> reached(Flow flow) {
        if (flow.ofSender() >= sender) {
            return Optional.of(Reason.SENDER_LIMIT);
        }
        if (flow.ofRule() >= rule) {
            return Optional.of(Reason.RULE_LIMIT);
        }
        if (flow.toDestination() >= destination) {
            return Optional.of(Reason.DESTINATION_LIMIT);
        }
        return flow.ofMailbox() >= mailbox ? Optional.of(Reason.HOURLY_LIMIT) : Optional.empty();
    }

    /** One message that would have left. */
    public record Leaving(Instant at, String rule, String destination, String sender) {}

    /**
     * How many messages of the past each limit would have held; what is held has not left.
     *
     * @param past in the order in which they would have left
     */
    public Map<Reason, Integer> held(List<Leaving> past) {
        Map<Reason, Integer> held = new EnumMap<>(Reason.class);
        LastHour lastHour = new LastHour();
        for (Leaving leaving : past) {
            lastHour.endsAt(leaving.at());
            reached(lastHour.flow(leaving))
                    .ifPresentOrElse(
                            why -> held.merge(why, 1, Integer::sum),
                            () -> lastHour.left.add(lastHour.count(leaving, 1)));
        }
        return held;
    }

    private static final class LastHour {
        private final Deque<Leaving> left = new ArrayDeque<>();
        private final Map<String, Integer> rules = new HashMap<>();
        private final Map<String, Integer> destinations = new HashMap<>();
        private final Map<String, Integer> senders = new HashMap<>();

        void endsAt(Instant now) {
            while (!left.isEmpty() && !left.peek().at().isAfter(since(now))) {
                count(left.remove(), -1);
            }
        }

        Leaving count(Leaving leaving, int more) {
            rules.merge(leaving.rule(), more, Integer::sum);
            destinations.merge(leaving.destination(), more, Integer::sum);
            senders.merge(leaving.sender(), more, Integer::sum);
            return leaving;
        }

        Flow flow(Leaving leaving) {
            return new Flow(
                    left.size(),
                    rules.getOrDefault(leaving.rule(), 0),
                    destinations.getOrDefault(leaving.destination(), 0),
                    senders.getOrDefault(leaving.sender(), 0));
        }
    }
}
