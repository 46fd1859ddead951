package app.jubek.core.decide;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.rule.Rule;
import app.jubek.core.wording.Statement;

/** What one rule made of one message. */
public sealed interface Outcome {
    Rule rule();

    Statement statement();

    default boolean isPicked() {
        return this instanceof Picked;
    }

    record Picked(Rule rule) implements Outcome {
        @Override
        public Statement statement() {
            return (rule.ends() ? OutcomeCode.PICKED_AND_STOPS : OutcomeCode.PICKED_AND_CONTINUES)
                    .with(rule.picksOut().statement());
        }
    }

    /** Left out by an exception. */
    record Excluded(Rule rule, Criterion by) implements Outcome {
        @Override
        public Statement statement() {
            return OutcomeCode.EXCLUDED.with(by.statement());
        }
    }

    record NotMatched(Rule rule, Criterion because) implements Outcome {
        @Override
        public Statement statement() {
            return OutcomeCode.NOT_MATCHED.with(because.statement());
        }
    }

    record Off(Rule rule) implements Outcome {
        @Override
        public Statement statement() {
            return OutcomeCode.OFF.with();
        }
    }

    /** On, and by its schedule not active when the message came in. */
    record Resting(Rule rule) implements Outcome {
        @Override
        public Statement statement() {
            return OutcomeCode.RESTING.with(rule.schedule().statement());
        }
    }

    /** On, but only since after the message came in. */
    record NotYetOn(Rule rule) implements Outcome {
        @Override
        public Statement statement() {
            return OutcomeCode.NOT_YET_ON.with();
        }
    }

    record Broken(Rule rule) implements Outcome {
        @Override
        public Statement statement() {
            return OutcomeCode.BROKEN.with();
        }
    }

    record NotReached(Rule rule, Rule endedBy) implements Outcome {
        @Override
        public Statement statement() {
            return OutcomeCode.NOT_REACHED.with(endedBy.name());
        }
    }
}
