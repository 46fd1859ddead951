package app.jubek.server.rulebook;

import app.jubek.core.rule.RuleBook;
import app.jubek.server.platform.Refused;
import java.util.UUID;

/** A look at changed rules that a person wants to save. */
public interface BeforeSaving {
    /**
     * @throws Refused when they must not be saved like this
     */
    void check(UUID mailbox, RuleBook before, RuleBook wanted);
}
