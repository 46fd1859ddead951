/**
 * A composing service that needs none of the outside world: it puts replies together from what it is told, always the same,
 * and can be told to fail.
 */
@NullMarked
package app.jubek.demo.composing;

import org.jspecify.annotations.NullMarked;
