/**
 * What steps in a mailbox have changed, and how it is changed back. Entry point: {@link app.jubek.server.undo.Undo}.
 * It knows no rule.
 */
@NullMarked
package app.jubek.server.undo;

import org.jspecify.annotations.NullMarked;
