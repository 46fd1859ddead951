/**
 * Watching mailboxes: connections that wait for mail, fetching, the first reading, folder cursors and leases.
 * Entry point: {@link app.jubek.server.watching.WatchService}; what comes in goes to {@link
 * app.jubek.server.watching.Arrivals}.
 */
@NullMarked
package app.jubek.server.watching;

import org.jspecify.annotations.NullMarked;
