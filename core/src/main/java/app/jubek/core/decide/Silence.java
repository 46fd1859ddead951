package app.jubek.core.decide;

import app.jubek.core.rule.Rule;
import app.jubek.core.schedule.Opening;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Which rules, though they are on, have no say in a message, and why. */
public interface Silence {
    /** The verdict instead of a rule's own; empty where it has its say. */
    Optional<Verdict> of(Rule rule);

    /** Every rule that is on has its say. */
    static Silence none() {
        return rule -> Optional.empty();
    }

    /** Rules rest by their schedules at the time of arrival. */
    static Silence bySchedule(Instant received, Opening opening) {
        return rule -> rule.schedule().isActive(received, opening) ? Optional.empty() : Optional.of(Verdict.RESTING);
    }

    /** Puts the silence of each rule in the place of its verdict. */
    default void apply(List<Rule> rules, Verdict[] verdicts) {
        for (int i = 0; i < verdicts.length; i++) {
            if (verdicts[i] != Verdict.OFF) {
                verdicts[i] = of(rules.get(i)).orElse(verdicts[i]);
            }
        }
    }
}
