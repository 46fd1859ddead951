package app.jubek.core.message;

/**
 * A part with a file name, or one that is no text.
 *
 * @param name empty when the part has none
 * @param bytes decoded size
 */
public record Attachment(String name, String mediaType, long bytes) {}
