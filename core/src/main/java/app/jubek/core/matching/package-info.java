/**
 * Comparing text: folding, values, phrases, patterns, and where they matched.
 * Entry point: {@link app.jubek.core.matching.Value}. Knows nothing of messages.
 */
@NullMarked
package app.jubek.core.matching;

import org.jspecify.annotations.NullMarked;
