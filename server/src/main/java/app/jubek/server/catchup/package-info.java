/**
 * Catch-ups: rules carried out on mail that is already there, looked over first, then in the background, a little at a
 * time. Entry point: {@link app.jubek.server.catchup.CatchUpWork}. What is done with which message is decided in core.
 */
@NullMarked
package app.jubek.server.catchup;

import org.jspecify.annotations.NullMarked;
