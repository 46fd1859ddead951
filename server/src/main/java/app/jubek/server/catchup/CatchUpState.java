package app.jubek.server.catchup;

/** How a catch-up stands. */
enum CatchUpState {
    /** Its folders are read, as far as they were not. */
    READING,
    /** It waits for a person to look it over. */
    READY,
    RUNNING,
    PAUSED,
    /** It is done for now, and will be done again. */
    WAITING,
    DONE,
    STOPPED;

    boolean mayBe(CatchUpState next) {
        return switch (next) {
            case READY -> this == PAUSED;
            case RUNNING -> this == READY || this == PAUSED;
            case PAUSED -> this == RUNNING || this == WAITING;
            case STOPPED -> this != DONE && this != STOPPED;
            default -> false;
        };
    }
}
