package app.jubek.core.matching;

/**
 * A stretch of text: UTF-16 code units, 0-based, half open.
 *
 * @param start first unit inside, at least 0
 * @param end first unit after it, greater than start
 */
public record Span(int start, int end) {
    public Span {
        if (start < 0 || end <= start) {
            throw new IllegalArgumentException("span " + start + " to " + end + " is empty or negative");
        }
    }
}
