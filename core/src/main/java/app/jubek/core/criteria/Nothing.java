package app.jubek.core.criteria;

import app.jubek.core.wording.Statement;

/** No message: what a rule without exceptions leaves out. */
public record Nothing() implements Criterion {
    @Override
    public boolean holds(Hits hits) {
        return false;
    }

    @Override
    public Statement statement() {
        return CriterionPhrase.NO_KIND.with();
    }
}
