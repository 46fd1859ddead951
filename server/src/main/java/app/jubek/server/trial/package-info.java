/**
 * Trials: kept, run when anything changes that rules go by, proposed, sent in and out as files; and what holds back rules
 * whose trials differ. Entry points: {@link app.jubek.server.trial.Trials}, {@link app.jubek.server.trial.TrialRuns}.
 */
@NullMarked
package app.jubek.server.trial;

import org.jspecify.annotations.NullMarked;
