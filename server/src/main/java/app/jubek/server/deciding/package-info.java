/**
 * What the engine needs beside a message and the rules, put together in one place for real mail, evidence and trying out.
 * Entry point: {@link app.jubek.server.deciding.DecisionContexts}.
 */
@NullMarked
package app.jubek.server.deciding;

import org.jspecify.annotations.NullMarked;
