package app.jubek.server.rulebook;

import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import java.util.List;
import java.util.UUID;

/** What stands below the rules that people order, and is never edited as a rule. */
public interface Tail {
    /**
     * @param book the rules above it
     */
    List<Rule> of(UUID mailbox, RuleBook book);
}
