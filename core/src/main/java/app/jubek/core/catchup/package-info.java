/**
 * Rules carried out on mail that is already there: what is to be done with which message, what is left out and why, and how
 * fast. Entry point: {@link app.jubek.core.catchup.CatchUp}. It does nothing itself.
 */
@NullMarked
package app.jubek.core.catchup;

import org.jspecify.annotations.NullMarked;
