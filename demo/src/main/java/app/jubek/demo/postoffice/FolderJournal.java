package app.jubek.demo.postoffice;

import jakarta.mail.Flags;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * One folder on disk: a file for each message and a journal of what happened, one line an event, so that a process
 * killed at any moment loses at most the event it was writing.
 *
 * <p>Lines: {@code V uidvalidity} · {@code A uid epochMillis flags} · {@code F uid flags} · {@code X uid}.
 */
final class FolderJournal {
    private Path folder;

    FolderJournal(Path folder) {
        this.folder = folder;
    }

    /** A message as the journal knows it. */
    record Kept(long uid, Instant received, Flags flags, Path bytes) {}

    /** A folder as the journal knows it; uidNext is above every UID ever given. */
    record State(long uidValidity, long uidNext, List<Kept> messages) {}

    boolean exists() {
        return Files.exists(journal());
    }

    void begin(long uidValidity) {
        try {
            Files.createDirectories(folder);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
        line("V " + uidValidity);
    }

    void added(long uid, byte[] bytes, Instant received, Flags flags) {
        try {
            Files.write(bytes(uid), bytes);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
        line("A " + uid + " " + received.toEpochMilli() + " " + FlagWords.write(flags));
    }

    void flagged(long uid, Flags flags) {
        line("F " + uid + " " + FlagWords.write(flags));
    }

    void expunged(long uid) {
        line("X " + uid);
        try {
            Files.deleteIfExists(bytes(uid));
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    void delete() {
        line("D");
    }

    /** Follows its folder to another name. */
    synchronized void moveTo(Path renamed) {
        try {
            Files.createDirectories(renamed.getParent());
            Files.move(folder, renamed);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
        folder = renamed;
    }

    State read() {
        Map<Long, Kept> messages = new LinkedHashMap<>();
        long validity = 0;
        long next = 1;
        for (String line : lines()) {
            String[] words = line.split(" ", 4);
            switch (words[0]) {
                case "V" -> {
                    validity = Long.parseLong(words[1]);
                    next = 1;
                }
                case "D" -> messages.clear();
                case "A" -> {
                    long uid = Long.parseLong(words[1]);
                    Instant received = Instant.ofEpochMilli(Long.parseLong(words[2]));
                    Flags flags = FlagWords.read(words.length > 3 ? words[3] : "");
                    messages.put(uid, new Kept(uid, received, flags, bytes(uid)));
                    next = Math.max(next, uid + 1);
                }
                case "F" -> {
                    String flags = words.length > 3 ? words[2] + " " + words[3] : words.length > 2 ? words[2] : "";
                    messages.computeIfPresent(
                            Long.parseLong(words[1]),
                            (uid, kept) -> new Kept(uid, kept.received(), FlagWords.read(flags), kept.bytes()));
                }
                case "X" -> messages.remove(Long.parseLong(words[1]));
                default -> throw new IllegalStateException("unknown line in " + journal() + ": " + line);
            }
        }
        return new State(validity, next, new ArrayList<>(messages.values()));
    }

    private List<String> lines() {
        try {
            String all = Files.readString(journal());
            int whole = all.lastIndexOf('\n') + 1;
            return all.substring(0, whole).lines().toList();
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    private synchronized void line(String line) {
        try {
            Files.write(
                    journal(),
                    (line.stripTrailing() + "\n").getBytes(StandardCharsets.UTF_8),
                    StandardOpenOption.CREATE,
                    StandardOpenOption.APPEND);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    private Path journal() {
        return folder.resolve("journal");
    }

    private Path bytes(long uid) {
        return folder.resolve(uid + ".eml");
    }
}
