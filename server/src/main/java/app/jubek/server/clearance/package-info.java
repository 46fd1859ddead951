/**
 * The last look before something leaves: whether it may, as the world is at that moment.
 * Entry point: {@link app.jubek.server.clearance.LastLook}.
 */
@NullMarked
package app.jubek.server.clearance;

import org.jspecify.annotations.NullMarked;
