package app.jubek.core.matching;

/** How a value is looked for in a text. */
public enum MatchType {
    CONTAINS,
    /** Between word borders: no letter or digit stands right before or after it. */
    WORDS,
    IS,
    BEGINS,
    ENDS,
    /** {@code *} and {@code ?} stand for anything; it spans the whole text (RFC 5228 §2.7.1). */
    WILDCARD,
    /** In RE2 syntax, found anywhere in the first 64 KiB. */
    PATTERN
}
