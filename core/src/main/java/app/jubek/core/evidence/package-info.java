/**
 * A draft rule over past mail: what it would take, and what each part of it does, with nothing done.
 * Entry point: {@link app.jubek.core.evidence.Evidence}.
 */
@NullMarked
package app.jubek.core.evidence;

import org.jspecify.annotations.NullMarked;
