package app.jubek.core.decide;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.rule.Rule;

/** What one rule made of one message. */
public sealed interface Outcome {
    Rule rule();

    String inWords();

    default boolean isPicked() {
        return this instanceof Picked;
    }

    record Picked(Rule rule) implements Outcome {
        @Override
        public String inWords() {
            return "picked, because it is mail " + rule.picksOut().inWords()
                    + (rule.ends() ? "; later rules do not see it" : "; later rules go on");
        }
    }

    /** Left out by an exception. */
    record Spared(Rule rule, Criterion by) implements Outcome {
        @Override
        public String inWords() {
            return "left out, because it is mail " + by.inWords();
        }
    }

    record NotMatched(Rule rule, Criterion because) implements Outcome {
        @Override
        public String inWords() {
            return "not picked, because it is not mail " + because.inWords();
        }
    }

    record Off(Rule rule) implements Outcome {
        @Override
        public String inWords() {
            return "paused";
        }
    }

    /** On, and by its schedule not active when the message came in. */
    record Resting(Rule rule) implements Outcome {
        @Override
        public String inWords() {
            return "resting when the message came in: it is active "
                    + rule.schedule().inWords();
        }
    }

    /** On, but only since after the message came in. */
    record NotYetOn(Rule rule) implements Outcome {
        @Override
        public String inWords() {
            return "switched on only after the message came in";
        }
    }

    record Broken(Rule rule) implements Outcome {
        @Override
        public String inWords() {
            return "could not be judged, so it did nothing";
        }
    }

    record NotReached(Rule rule, Rule endedBy) implements Outcome {
        @Override
        public String inWords() {
            return "not reached: “" + endedBy.name() + "” ended the run";
        }
    }
}
