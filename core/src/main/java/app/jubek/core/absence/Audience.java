package app.jubek.core.absence;

/** Who gets the answer of an absence. */
public enum Audience {
    EVERYONE,
    /** In the address book, or written to before. */
    KNOWN,
    INSIDE,
    /** Some groups of the address book. */
    GROUPS,
    NOBODY
}
