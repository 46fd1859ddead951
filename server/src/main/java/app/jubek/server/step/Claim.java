package app.jubek.server.step;

import app.jubek.core.safety.Cleared;
import app.jubek.core.step.Step;
import app.jubek.server.mailbox.Mailbox;
import java.util.Optional;
import java.util.UUID;

/**
 * A step to be done now.
 *
 * @param attempt counted from 1
 * @param asked the rule's step that it carries out; empty where it is none of a rule
 * @param cleared of what leaves, the permission
 */
public record Claim(
        UUID step,
        int attempt,
        Work kind,
        long message,
        Optional<Step> asked,
        String ruleName,
        Mailbox mailbox,
        Optional<Cleared> cleared) {

    public boolean isRepeated() {
        return attempt > 1;
    }
}
