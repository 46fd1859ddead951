package app.jubek.core.template;

import app.jubek.core.wording.Statement;

/**
 * Something in a template that a person should look at.
 *
 * @param what it is, and what to do
 */
public record TemplateFault(Sort sort, Statement what) {

    /** What is amiss. */
    public enum Sort {
        MISSING_FALLBACK,
        DATE_PAST,
        BROKEN_LINK,
        SAMPLE_TEXT,
        SPELT_TWO_WAYS,
        EMPTY_SUBJECT,
        DRIFTED_APART,
        DOCUMENT_GONE,
        DOCUMENT_OLD,
        TOO_LARGE
    }
}
