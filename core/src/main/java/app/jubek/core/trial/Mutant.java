package app.jubek.core.trial;

import app.jubek.core.rule.Rule;
import app.jubek.core.sample.MadeUp;
import app.jubek.core.schedule.Opening;
import app.jubek.core.view.MessageView;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A rule with one thing changed. A trial shows that thing when it tells the two apart.
 *
 * @param key the same as long as the rule stays as it is
 * @param what a message that tells them apart is like
 * @param changed the rule with the change
 * @param wishes what a message that tells them apart meets
 * @param aim at the thing that is changed
 * @param at instants at which it must come in, in the order of preference; empty where any will do
 */
record Mutant(
        String key,
        Statement what,
        Rule changed,
        List<MadeUp.Wish> wishes,
        Optional<MadeUp.Aim> aim,
        List<Instant> at) {
    Mutant {
        wishes = List.copyOf(wishes);
        at = List.copyOf(at);
    }

    /** Whether the rule and this one judge a message differently. */
    boolean isToldFrom(Rule rule, MessageView seen, Opening opening) {
        return picks(rule, seen, opening) != picks(changed, seen, opening);
    }

    /** Whether a rule by itself picks a message when it comes in. */
    static boolean picks(Rule rule, MessageView seen, Opening opening) {
        return rule.picksOut().holds(seen)
                && !rule.leavesOut().holds(seen)
                && rule.schedule().isActive(seen.context().received(), opening);
    }
}
