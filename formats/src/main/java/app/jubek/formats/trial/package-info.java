/** Trials as files: a message, and beside it what must happen to it. Entry point: {@link app.jubek.formats.trial.TrialJson}. */
@NullMarked
package app.jubek.formats.trial;

import org.jspecify.annotations.NullMarked;
