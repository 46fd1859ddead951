/**
 * The stop: one act after which nothing leaves a mailbox, until it is taken back. What would leave waits meanwhile, and
 * everything else goes on.
 */
@NullMarked
package app.jubek.server.stop;

import org.jspecify.annotations.NullMarked;
