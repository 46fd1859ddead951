/**
 * The criteria of a whole rule book looked for at one go: each text is folded once and scanned once, whatever the number of
 * values. Entry point: {@link app.jubek.core.compiled.TermIndex}.
 */
@NullMarked
package app.jubek.core.compiled;

import org.jspecify.annotations.NullMarked;
