package app.jubek.server.delivery;

/**
 * Why a step could not be done, and what a person can do.
 *
 * @param advice may be empty
 */
record Cause(String words, String advice) {
    static Cause of(String words) {
        return new Cause(words, "");
    }
}
