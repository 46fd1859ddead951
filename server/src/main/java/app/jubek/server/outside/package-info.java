/**
 * The simulated outside world, in the demo only. Entry point: {@link app.jubek.server.outside.OutsideController}.
 */
@NullMarked
package app.jubek.server.outside;

import org.jspecify.annotations.NullMarked;
