/** bin/jubek: the engine on the command line, for scripts. Entry point: {@link app.jubek.cli.Jubek}. */
@NullMarked
package app.jubek.cli;

import org.jspecify.annotations.NullMarked;
