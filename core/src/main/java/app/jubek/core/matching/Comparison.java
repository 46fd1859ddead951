package app.jubek.core.matching;

import app.jubek.core.text.Budget;

/** How two texts are held against each other. */
public enum Comparison {
    /** NFKC_Casefold, white space as one space, accents kept: what people mean. */
    FOLDED,
    /** The same, accents taken off. */
    WITHOUT_ACCENTS,
    /** Only A to Z are the same as a to z (RFC 4790, i;ascii-casemap). */
    ASCII_CASE,
    /** Unit for unit (RFC 4790, i;octet). */
    EXACT;

    public boolean isFolding() {
        return this == FOLDED || this == WITHOUT_ACCENTS;
    }

    /** The text as it is compared. */
    public String apply(String text) {
        return apply(text, Budget.UNLIMITED);
    }

    /** The same, paid for from a budget. */
    public String apply(String text, Budget budget) {
        return this == EXACT
                ? text
                : new ComparedText().spending(budget).load(text, this).toString();
    }
}
