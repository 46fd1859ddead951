/**
 * Whether redirected mail gets to its recipient.
 * Entry point: {@link app.jubek.core.arrival.Arrival}.
 */
@NullMarked
package app.jubek.core.arrival;

import org.jspecify.annotations.NullMarked;
