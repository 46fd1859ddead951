/**
 * Steps as screens show them, what carries them out, and how much of each was done.
 * Entry point: {@link app.jubek.server.step.StepView}.
 */
@NullMarked
package app.jubek.server.step;

import org.jspecify.annotations.NullMarked;
