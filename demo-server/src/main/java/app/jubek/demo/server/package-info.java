/**
 * What the server has in the demo alone: the place Outside, and rules and people to begin with. On the class path of
 * bin/demo, and in no other jar.
 */
@NullMarked
package app.jubek.demo.server;

import org.jspecify.annotations.NullMarked;
