/**
 * What keeps coming: past mail grouped into kinds, each with who writes it and the pattern of its subject.
 * Entry point: {@link app.jubek.core.recurring.RecurringKinds}.
 */
@NullMarked
package app.jubek.core.recurring;

import org.jspecify.annotations.NullMarked;
