/**
 * From a planned step to the bytes that leave. Entry point: {@link app.jubek.core.outgoing.Composer}.
 */
@NullMarked
package app.jubek.core.outgoing;

import org.jspecify.annotations.NullMarked;
