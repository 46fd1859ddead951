package app.jubek.server.intake;

import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Outcome;
import java.util.List;

/**
 * A decision as it is kept with its message.
 *
 * @param bookVersion of the rule book that decided
 */
public record StoredDecision(int bookVersion, boolean staysInInbox, List<RuleLine> rules) {

    /** What one rule made of the message. */
    public record RuleLine(String rule, int version, String name, boolean picked, String words) {}

    static StoredDecision of(int bookVersion, Decision decision) {
        List<RuleLine> lines =
                decision.trace().stream().map(StoredDecision::line).toList();
        return new StoredDecision(bookVersion, decision.staysInInbox(), lines);
    }

    private static RuleLine line(Outcome outcome) {
        return new RuleLine(
                outcome.rule().id().value(),
                outcome.rule().version(),
                outcome.rule().name(),
                outcome.isPicked(),
                outcome.inWords());
    }
}
