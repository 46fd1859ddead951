/**
 * Replies that a composing service writes: what it is told, and how far what it writes is borne out by that.
 * Entry point: {@link app.jubek.core.composing.ComposedReply}.
 */
@NullMarked
package app.jubek.core.composing;

import org.jspecify.annotations.NullMarked;
