package app.jubek.core.catchup;

/**
 * What of the rules' work is wanted on old mail. Work in the mailbox always is.
 *
 * @param handOvers whether messages are forwarded and redirected
 * @param replies whether they are answered
 */
public record Terms(boolean handOvers, boolean replies) {
    /** Nothing leaves. */
    public static final Terms MAILBOX_ONLY = new Terms(false, false);
}
