package app.jubek.core.criteria;

/** Which terms one message answers: asked of the message itself, or of sets computed for many messages. */
public interface Hits {
    /** Whether any of the test's values hits, negation aside. */
    boolean any(SimpleCriterion test);
}
