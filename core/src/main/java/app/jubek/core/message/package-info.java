/**
 * A message once read: an immutable value from which everything else is decided, and what its header fields say.
 * Entry point: {@link app.jubek.core.message.ReadMessage}. Knows nothing of rules.
 */
@NullMarked
package app.jubek.core.message;

import org.jspecify.annotations.NullMarked;
