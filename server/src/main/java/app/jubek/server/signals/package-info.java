/** What processes on one database tell each other: that something of a mailbox has changed. */
@NullMarked
package app.jubek.server.signals;

import org.jspecify.annotations.NullMarked;
