package app.jubek.core.decide;

import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.Ledger;
import java.time.Instant;
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
    public Surroundings {
        onSince = Map.copyOf(onSince);
    }

    boolean receivedBeforeOn(RuleId rule) {
        return Optional.ofNullable(onSince.get(rule)).filter(received::isBefore).isPresent();
    }
}
