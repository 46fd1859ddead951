/**
 * Sends the messages of trials through the real servers, follows them, and cleans up after them. Entry point:
 * {@link app.jubek.server.realtest.RealTests}.
 */
@NullMarked
package app.jubek.server.realtest;

import org.jspecify.annotations.NullMarked;
