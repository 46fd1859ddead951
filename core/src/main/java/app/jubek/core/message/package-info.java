/**
 * A message once read: an immutable value from which everything else is decided.
 * Entry point: {@link app.jubek.core.message.MessageReading}. Knows nothing of rules.
 */
@NullMarked
package app.jubek.core.message;

import org.jspecify.annotations.NullMarked;
