/**
 * Versioned rule books. Entry point: {@link app.jubek.server.rulebook.RuleBooks}.
 */
@NullMarked
package app.jubek.server.rulebook;

import org.jspecify.annotations.NullMarked;
