/**
 * Rehearsals: other rules over past mail, beside those of now, in the background; and those that were kept with a name.
 * Entry point: {@link app.jubek.server.rehearsal.Rehearsals}.
 */
@NullMarked
package app.jubek.server.rehearsal;

import org.jspecify.annotations.NullMarked;
