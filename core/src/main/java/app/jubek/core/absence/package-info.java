/**
 * The time in which the person of a mailbox is away: who gets an answer, who stands in, what speaks against it, and what
 * it would have done to past mail. Entry point: {@link app.jubek.core.absence.Absence}, whose rules stand in the tail of
 * the rule book. It knows no mailbox and sends nothing.
 */
@NullMarked
package app.jubek.core.absence;

import org.jspecify.annotations.NullMarked;
