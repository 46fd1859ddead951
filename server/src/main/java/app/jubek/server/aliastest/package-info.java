/**
 * Tests whether mail to an own address comes in.
 * Entry point: {@link app.jubek.server.aliastest.AliasTests}.
 */
@NullMarked
package app.jubek.server.aliastest;

import org.jspecify.annotations.NullMarked;
