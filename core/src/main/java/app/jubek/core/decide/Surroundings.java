package app.jubek.core.decide;

import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.Ledger;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;

/**
 * All that a decision needs and that is not in the message.
 *
 * @param received when the message came in; schedules and "switched on since" are judged by it
 * @param onSince when each rule was last switched on; a rule not named was always on
 * @param conversation whether the message answers something this mailbox sent
 */
public record Surroundings(
        Instant now,
        Instant received,
        OwnSide own,
        Ledger ledger,
        HopMark hops,
        Map<RuleId, Instant> onSince,
        boolean conversation) {
    private static final Duration ANSWERED_WITHIN = Duration.ofDays(1);

    public Surroundings {
        onSince = Map.copyOf(onSince);
    }

    /** Whether an automatic answer now would come more than a day after the message. */
    boolean isOverLate() {
        return received.plus(ANSWERED_WITHIN).isBefore(now);
    }

    /** Times of arrival have whole seconds (RFC 9051, date-time), so a rule counts as on from the second's beginning. */
    boolean receivedBeforeOn(RuleId rule) {
        return Optional.ofNullable(onSince.get(rule))
                .map(since -> since.truncatedTo(ChronoUnit.SECONDS))
                .filter(received::isBefore)
                .isPresent();
    }
}
