/**
 * The engine: a pure function from rule book, message and context to a decision with its trace.
 * Entry point: {@link app.jubek.core.decide.Engine}.
 */
@NullMarked
package app.jubek.core.decide;

import org.jspecify.annotations.NullMarked;
