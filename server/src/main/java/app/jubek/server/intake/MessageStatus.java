package app.jubek.server.intake;

/** How a stored message came to be here. */
public enum MessageStatus {
    /** Was there before; evidence, never acted on. */
    PAST,
    DECIDED,
    /** Could not be taken in; shown, not acted on. */
    SET_ASIDE,
    /** Was sent to test rules: acted on, and counted nowhere. */
    REAL_TEST
}
