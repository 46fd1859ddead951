package app.jubek.core.template;

import app.jubek.core.text.Unsafe;
import com.google.re2j.Pattern;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;

/**
 * A file kept once and attached by templates; what is known of it without its bytes.
 *
 * @param fileName as recipients see it; no folders in it
 * @param size bytes
 * @param added when it was last put in
 * @param lookAgainOn when a person wants to be reminded of it
 */
public record Document(
        DocumentId id, String fileName, String mediaType, long size, LocalDate added, Optional<LocalDate> lookAgainOn) {
    /** In all, of one answer, in bytes. */
    public static final long MOST = 10L * 1024 * 1024;

    private static final Pattern MEDIA_TYPE = Pattern.compile("[a-z0-9][a-z0-9!#$&^_.+-]*/[a-z0-9][a-z0-9!#$&^_.+-]*");
    private static final Set<String> PICTURES = Set.of("image/png", "image/jpeg", "image/gif");
    private static final int LONGEST_NAME = 200;

    /**
     * @throws IllegalArgumentException where its name can't be a file's, or it is empty or too large
     */
    public Document {
        fileName = fileName.strip();
        if (fileName.isEmpty() || fileName.length() > LONGEST_NAME || !fileName.equals(Unsafe.removed(fileName))) {
            throw new IllegalArgumentException(
                    "a document needs a file name of at most " + LONGEST_NAME + " ordinary characters");
        }
        if (fileName.indexOf('/') >= 0 || fileName.indexOf('\\') >= 0) {
            throw new IllegalArgumentException("a file name has no folders in it: " + fileName);
        }
        if (size <= 0) {
            throw new IllegalArgumentException("the document " + fileName + " is empty");
        }
        if (size > MOST) {
            throw new IllegalArgumentException("the document " + fileName + " has " + inWords(size) + ", and "
                    + inWords(MOST) + " go along with an answer in all");
        }
        mediaType = MEDIA_TYPE.matches(mediaType) ? mediaType : "application/octet-stream";
    }

    public boolean isPicture() {
        return PICTURES.contains(mediaType);
    }

    /** A number of bytes as people say it. */
    public static String inWords(long bytes) {
        long kilo = 1024;
        return bytes < kilo * kilo ? (bytes + kilo - 1) / kilo + " KB" : bytes * 10 / (kilo * kilo) / 10.0 + " MB";
    }
}
