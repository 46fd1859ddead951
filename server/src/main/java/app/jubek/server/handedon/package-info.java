/**
 * What whoever got a forward says of it on its page, without signing in.
 */
@NullMarked
package app.jubek.server.handedon;

import org.jspecify.annotations.NullMarked;
