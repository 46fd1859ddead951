package app.jubek.core.wording;

/**
 * What a statement says, without its words. Enums implement it; their ids are stored and sent, so an id never changes its
 * meaning, and no two constants share one.
 */
public interface Code {
    /** The constant's name, as Java gives it. */
    String name();

    /** What is stored and sent: upper case letters, digits and underscores. */
    default String id() {
        return name();
    }

    /** The statement with these arguments: texts, whole numbers, days, statements, lists. */
    default Statement with(Object... arguments) {
        return Statement.of(this, arguments);
    }
}
