package app.jubek.core.text;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.stream.Collectors;

/** Words of human languages that are known by sight. Each list is a file of its own; lines with # say what it is. */
public final class WordList {
    private static final String FOLDER = "/app/jubek/core/words/";

    private WordList() {}

    /**
     * @param name of the file, without its ending
     */
    public static Set<String> of(String name) {
        try (InputStream in = WordList.class.getResourceAsStream(FOLDER + name + ".txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .flatMap(line -> WhiteSpace.words(line).stream())
                    .collect(Collectors.toUnmodifiableSet());
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
