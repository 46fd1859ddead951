/**
 * How the mail of a rule changes: like messages that it no longer picks, and picked messages unlike the others. Entry point:
 * {@link app.jubek.core.drift.Drifts}.
 */
@NullMarked
package app.jubek.core.drift;

import org.jspecify.annotations.NullMarked;
