package app.jubek.formats.rulebook;

/**
 * One thing wrong with a document.
 *
 * @param path JSON Pointer to the place (RFC 6901)
 * @param message what was found there and what is allowed
 */
public record Fault(String path, String message) {
    @Override
    public String toString() {
        return (path.isEmpty() ? "" : path + ": ") + message;
    }
}
