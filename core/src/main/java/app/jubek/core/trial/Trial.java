package app.jubek.core.trial;

import app.jubek.core.rule.RuleId;
import app.jubek.core.view.MessageView;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A kept message with what must happen to it.
 *
 * @param id as it is kept
 * @param seen as it came in, at the instant of the trial
 * @param expectations at least one
 */
public record Trial(String id, MessageView seen, List<Expectation> expectations) {
    public Trial {
        expectations = List.copyOf(expectations);
        if (expectations.isEmpty()) {
            throw new IllegalArgumentException("say what must happen to the message, or what must not");
        }
    }

    /** The rules that it speaks of. */
    public Set<RuleId> rules() {
        return expectations.stream()
                .filter(each -> each.fate() == Expectation.Fate.PICKED_BY)
                .map(each -> new RuleId(each.of()))
                .collect(Collectors.toSet());
    }
}
