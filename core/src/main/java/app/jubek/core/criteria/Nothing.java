package app.jubek.core.criteria;

/** No message: what a rule without exceptions leaves out. */
public record Nothing() implements Criterion {
    @Override
    public boolean holds(Hits hits) {
        return false;
    }

    @Override
    public String inWords() {
        return "of no kind";
    }
}
