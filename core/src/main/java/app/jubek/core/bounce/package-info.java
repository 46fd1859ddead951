/**
 * Messages that tell what became of another one.
 * Entry point: {@link app.jubek.core.bounce.Bounce}.
 */
@NullMarked
package app.jubek.core.bounce;

import org.jspecify.annotations.NullMarked;
