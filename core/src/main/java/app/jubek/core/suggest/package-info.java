/**
 * What tells messages apart: a few messages that belong together and some that don't in, small sets of criteria out.
 * Entry point: {@link app.jubek.core.suggest.Suggest}.
 */
@NullMarked
package app.jubek.core.suggest;

import org.jspecify.annotations.NullMarked;
