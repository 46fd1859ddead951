package app.jubek.server.delivery;

import app.jubek.core.step.Step;
import app.jubek.formats.rulebook.RuleBookJson;

/** The step behind a stored row. */
final class StepDetail {
    private StepDetail() {}

    static Step step(StepEntity entity) {
        return RuleBookJson.readStep(entity.detail());
    }

    static String words(StepEntity entity) {
        return switch (entity.kind()) {
            case BRING_BACK -> "brought back to the inbox, unread and flagged";
            case ANSWER_COPY -> "told of by a copy of the answer to " + entity.recipient();
            default -> step(entity).done();
        };
    }
}
