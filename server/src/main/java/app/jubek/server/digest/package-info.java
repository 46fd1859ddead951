/** What waits for a person, told by mail once a working day. */
@NullMarked
package app.jubek.server.digest;

import org.jspecify.annotations.NullMarked;
