package app.jubek.core.template;

/**
 * Something in a template that a person should look at.
 *
 * @param words what it is, and what to do
 */
public record TemplateFault(Sort sort, String words) {

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
