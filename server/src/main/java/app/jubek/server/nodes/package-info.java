/**
 * The processes that work on one database: each says that it is there, and none works on a database it does not know.
 * Entry point: {@link app.jubek.server.nodes.Nodes}.
 */
@NullMarked
package app.jubek.server.nodes;

import org.jspecify.annotations.NullMarked;
