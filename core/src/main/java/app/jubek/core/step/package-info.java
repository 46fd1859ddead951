/**
 * What a rule does, and the states a step passes through.
 * Entry points: {@link app.jubek.core.step.Step}, {@link app.jubek.core.step.StepState}.
 */
@NullMarked
package app.jubek.core.step;

import org.jspecify.annotations.NullMarked;
