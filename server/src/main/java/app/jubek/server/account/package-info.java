/**
 * People: sign-in, and which mailboxes each may see. Entry point: {@link app.jubek.server.account.MailboxAccess}.
 */
@NullMarked
package app.jubek.server.account;

import org.jspecify.annotations.NullMarked;
