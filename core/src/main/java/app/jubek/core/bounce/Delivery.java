package app.jubek.core.bounce;

/**
 * What became of a message on its way to one address.
 *
 * @param address as it is compared; empty where it is not told
 * @param cause what the reporting server said, in one line; empty where it said nothing
 */
public record Delivery(String address, Outcome outcome, String cause) {
    /** RFC 3464 §2.3.3. */
    public enum Outcome {
        FAILED,
        DELAYED,
        /** Handed to a server that tells nothing more. */
        RELAYED,
        UNKNOWN
    }
}
