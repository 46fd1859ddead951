/** What leaves, as it was frozen when it was planned. */
@NullMarked
package app.jubek.server.outgoing;

import org.jspecify.annotations.NullMarked;
