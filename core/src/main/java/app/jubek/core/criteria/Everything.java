package app.jubek.core.criteria;

/** Every message: a deliberate choice, never an empty rule. */
public record Everything() implements Criterion {
    @Override
    public boolean holds(Hits hits) {
        return true;
    }

    @Override
    public String inWords() {
        return "of every kind";
    }
}
