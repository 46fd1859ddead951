package app.jubek.core.schedule;

import java.time.Instant;

/**
 * A time in which a rule is active.
 *
 * @param until the first instant at which it is not
 */
public record ActiveSpan(Instant from, Instant until) {}
