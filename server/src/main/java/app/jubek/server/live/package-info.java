/**
 * What pages are told while they are open: that something has changed, so that they ask for it. Entry point: {@link
 * app.jubek.server.live.LiveStreams}.
 */
@NullMarked
package app.jubek.server.live;

import org.jspecify.annotations.NullMarked;
