/**
 * Two rule books over the same past mail: what becomes of each message by the one and by the other, who changes hands, and
 * what follows for rules, destinations and senders. Entry point: {@link app.jubek.core.rehearsal.Rehearsal}.
 */
@NullMarked
package app.jubek.core.rehearsal;

import org.jspecify.annotations.NullMarked;
