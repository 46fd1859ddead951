package app.jubek.server.step;

import app.jubek.core.outgoing.Composer;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.text.Budget;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * The plan for one stored message.
 *
 * @param composer makes the bytes of what leaves, frozen now
 * @param budget what planning may cost
 * @param wantedBy the person who wants it done with old mail, behind new mail, and has seen who gets a reply
 */
public record StepPlan(
        UUID mailbox,
        long message,
        Composer.Original original,
        Composer composer,
        List<PlannedStep> planned,
        List<NotDone> notDone,
        Budget budget,
        Optional<String> wantedBy) {}
