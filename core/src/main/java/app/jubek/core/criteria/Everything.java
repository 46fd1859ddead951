package app.jubek.core.criteria;

import app.jubek.core.wording.Statement;

/** Every message: a deliberate choice, never an empty rule. */
public record Everything() implements Criterion {
    @Override
    public boolean holds(Hits hits) {
        return true;
    }

    @Override
    public Statement statement() {
        return CriterionPhrase.EVERY_KIND.with();
    }
}
