/**
 * Kinds of recurring mail, and criteria suggested from them and from examples.
 */
@NullMarked
package app.jubek.server.recurring;

import org.jspecify.annotations.NullMarked;
