/**
 * Trials: kept messages with what must happen to them, run against a rule book; and the cases that no trial of a rule
 * shows yet. Entry points: {@link app.jubek.core.trial.TrialRun}, {@link app.jubek.core.trial.Coverage}.
 */
@NullMarked
package app.jubek.core.trial;

import org.jspecify.annotations.NullMarked;
