/**
 * The outbox: carrying out steps by SMTP and IMAP, with retry.
 * Entry point: {@link app.jubek.server.delivery.Outbox}.
 */
@NullMarked
package app.jubek.server.delivery;

import org.jspecify.annotations.NullMarked;
