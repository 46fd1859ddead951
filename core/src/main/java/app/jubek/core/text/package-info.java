/**
 * Comparing text: folding, phrases, spans and the limits of reading. Entry point: {@link app.jubek.core.text.Folding}.
 * Knows nothing of messages.
 */
@NullMarked
package app.jubek.core.text;

import org.jspecify.annotations.NullMarked;
