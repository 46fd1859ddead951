/**
 * Handling text that comes from outside: its limits, its parts, what is unsafe to show.
 * Entry point: {@link app.jubek.core.text.Limits}.
 */
@NullMarked
package app.jubek.core.text;

import org.jspecify.annotations.NullMarked;
