package app.jubek.server.rulebook;

import app.jubek.core.rule.RuleBook;
import app.jubek.core.wording.Statement;
import app.jubek.server.platform.Refused;
import java.util.List;
import java.util.UUID;

/** A look at changed rules that a person wants to save. */
public interface BeforeSaving {
    /**
     * @param despiteTrials whether the person has said that trials may differ
     */
    record Saving(UUID mailbox, RuleBook before, RuleBook wanted, boolean despiteTrials) {}

    /**
     * @return what is recorded with the version
     * @throws Refused when they must not be saved like this
     */
    List<Statement> check(Saving saving);
}
