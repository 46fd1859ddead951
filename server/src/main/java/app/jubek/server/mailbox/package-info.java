/**
 * Mailboxes: their settings, IMAP connections, watching and first reading.
 * Entry point: {@link app.jubek.server.mailbox.Mailboxes}.
 */
@NullMarked
package app.jubek.server.mailbox;

import org.jspecify.annotations.NullMarked;
