package app.jubek.core.explain;

import app.jubek.core.matching.Span;

/**
 * Words of a shown message that a criterion matched.
 *
 * @param part which text part, 0 for the subject and the sender's name
 */
public record Mark(Place place, int part, Span span) {
    /** Whether one that does not begin earlier overlaps or touches this one. */
    boolean meets(Mark later) {
        return place == later.place && part == later.part && later.span.start() <= span.end();
    }

    Mark joined(Mark later) {
        return new Mark(place, part, new Span(span.start(), Math.max(span.end(), later.span.end())));
    }

    /** Where on the screen. */
    public enum Place {
        SENDER_NAME,
        SUBJECT,
        TEXT
    }
}
