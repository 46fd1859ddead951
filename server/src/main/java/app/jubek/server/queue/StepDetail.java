package app.jubek.server.queue;

import app.jubek.core.plan.PlannedPhrase;
import app.jubek.core.step.Step;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;

/** The step behind a stored row. */
final class StepDetail {
    private StepDetail() {}

    static Step step(StepEntity entity) {
        return RuleBookJson.readStep(entity.detail());
    }

    static Statement statement(StepEntity entity) {
        return switch (entity.kind()) {
            case BRING_BACK -> PlannedPhrase.BROUGHT_BACK.with();
            case ANSWER_COPY -> PlannedPhrase.COPY_OF_REPLY_TO.with(entity.recipient());
            default -> step(entity).statement();
        };
    }
}
