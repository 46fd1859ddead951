/**
 * Real tests: the message of a trial sent through the real servers, and what comes out at the other end. Entry points:
 * {@link app.jubek.core.realtest.RealTest}, {@link app.jubek.core.realtest.Following}.
 */
@NullMarked
package app.jubek.core.realtest;

import org.jspecify.annotations.NullMarked;
