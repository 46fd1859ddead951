/**
 * How far the reading of each mailbox has got, and which process goes on with it: leases, folder cursors, messages that
 * were tried and not done, mail that people sent.
 */
@NullMarked
package app.jubek.server.progress;

import org.jspecify.annotations.NullMarked;
