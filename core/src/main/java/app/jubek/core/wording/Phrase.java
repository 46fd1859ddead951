package app.jubek.core.wording;

/** Phrases of which other statements are made. */
public enum Phrase implements Code {
    /** The argument alone. */
    PLAIN,
    /** Somebody's own words, in quotation marks: the words. */
    QUOTED,
    /** In brackets: the statement. */
    BRACKETED,
    /** The opposite: the statement. */
    NOT,
    /** Not the first and not the second. */
    NEITHER,
    /** None of several, joined one after the other: so far, and one more. */
    NOR,
    /** Words that an earlier version recorded, before there were codes: the words. */
    RECORDED_IN_WORDS;

    public static Statement quoted(String words) {
        return QUOTED.with(words);
    }
}
