package app.jubek.server.platform;

import java.sql.SQLException;
import java.util.Optional;
import java.util.stream.Stream;

/** What the database says was the matter (PostgreSQL manual, appendix A). */
public final class SqlState {
    /** Values that don't fit, such as a NUL in a text. */
    private static final String DATA = "22";

    /** A row of an index that is too long, and the like. */
    private static final String LIMIT = "54";

    /** A value that must be there once, and is there already. */
    private static final String TAKEN = "23505";

    private SqlState() {}

    public static boolean isOfData(Throwable failed) {
        return states(failed).anyMatch(state -> state.startsWith(DATA) || state.startsWith(LIMIT));
    }

    public static boolean isTaken(Throwable failed) {
        return states(failed).anyMatch(TAKEN::equals);
    }

    private static Stream<String> states(Throwable failed) {
        return Stream.iterate(failed, cause -> cause != null, Throwable::getCause)
                .filter(SQLException.class::isInstance)
                .flatMap(cause -> Optional.ofNullable(((SQLException) cause).getSQLState()).stream());
    }
}
