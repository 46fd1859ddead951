/** Who got which automatic answer when. */
@NullMarked
package app.jubek.server.replyhistory;

import org.jspecify.annotations.NullMarked;
