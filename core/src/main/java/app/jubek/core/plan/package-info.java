/**
 * What is to be done with one message: steps planned, and those that are not and why.
 * Entry points: {@link app.jubek.core.plan.PlannedStep}, {@link app.jubek.core.plan.NotDone}.
 */
@NullMarked
package app.jubek.core.plan;

import org.jspecify.annotations.NullMarked;
