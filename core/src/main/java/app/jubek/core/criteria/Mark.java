package app.jubek.core.criteria;

import app.jubek.core.text.Span;

/**
 * Words of a shown message that a criterion matched.
 *
 * @param part which text part, 0 for the subject and the sender's name
 */
public record Mark(Place place, int part, Span span) {

    /** Where on the screen. */
    public enum Place {
        SENDER_NAME,
        SUBJECT,
        TEXT
    }
}
