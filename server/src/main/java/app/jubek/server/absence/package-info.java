/**
 * Times in which the person of a mailbox is away: planned, changed and ended as one thing, told to the substitute, and
 * summed up on return. Entry point: {@link app.jubek.server.absence.Absences}. What is decided about a message is decided
 * by the rules that stand for an absence in the tail of the rule book.
 */
@NullMarked
package app.jubek.server.absence;

import org.jspecify.annotations.NullMarked;
