package app.jubek.core.template;

import app.jubek.core.wording.Code;

/** What is wrong with a template, and what to do. */
enum TemplateFaultText implements Code {
    NO_SUBJECT,
    /** What the field stands for. */
    FIELD_WITHOUT_FALLBACK,
    /** The same of words that are written in a rule itself. */
    OWN_FIELD_MAY_BE_EMPTY,
    /** The name of what a pattern captures. */
    CAPTURED_WITHOUT_FALLBACK,
    /** Each of the next three has the words. */
    BROKEN_LINK,
    SAMPLE_TEXT,
    DATE_PAST,
    /** Words that only one of the two forms has. */
    FORMS_DIFFER,
    DOCUMENT_GONE,
    /** The name of the document. */
    DOCUMENT_TO_CHECK,
    /** Their size, and the largest. */
    DOCUMENTS_TOO_LARGE,
    /** One spelling, and the other. */
    SPELT_TWO_WAYS;

    @Override
    public String id() {
        return "TEMPLATE_" + name();
    }
}
