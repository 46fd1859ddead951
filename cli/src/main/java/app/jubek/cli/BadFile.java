package app.jubek.cli;

import java.nio.file.Path;

/** A file that can't be used: which, where in it, why. One line. */
final class BadFile extends RuntimeException {
    private static final long serialVersionUID = 1L;

    BadFile(Path file, String where, String cause) {
        super(file + ":" + (where.isEmpty() ? "" : where + ":") + " " + cause.replaceAll("\\s*[\\r\\n]+\\s*", " "));
    }
}
