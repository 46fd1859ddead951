package app.jubek.server.platform;

import app.jubek.core.wording.Statement;

/** Puts into words what goes to people by mail; the edge says in which language. */
public interface Words {
    String of(Statement statement);
}
