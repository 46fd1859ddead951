package app.jubek.cli;

import app.jubek.formats.mbox.MailboxFile;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Messages from a file, from a file of many, or from all files of a folder and below, in the order of their names. */
final class MailSource {
    /** Ends of names that lie beside mail and are none. */
    private static final Set<String> NO_MAIL = Set.of("json", "jsonl", "sieve", "csv", "md", "html", "xml");

    private MailSource() {}

    interface Taker {
        /**
         * @param name of the file, with the message's number where there are several in it
         */
        void take(String name, byte[] bytes);
    }

    static void each(Path path, Taker taker) {
        if (!Files.exists(path)) {
            throw new BadFile(path, "", "there is no such file or folder");
        }
        files(path).forEach(file -> one(file, taker));
    }

    private static List<Path> files(Path path) {
        if (!Files.isDirectory(path)) {
            return List.of(path);
        }
        try (Stream<Path> all = Files.walk(path)) {
            return all.filter(Files::isRegularFile)
                    .filter(MailSource::mayBeMail)
                    .sorted()
                    .toList();
        } catch (IOException unreadable) {
            throw new BadFile(path, "", "can't be listed: " + unreadable.getMessage());
        }
    }

    private static boolean mayBeMail(Path file) {
        String name = file.getFileName().toString();
        String end = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        return !name.startsWith(".") && !NO_MAIL.contains(end);
    }

    private static void one(Path file, Taker taker) {
        String name = file.getFileName().toString();
        try {
            if (!isMany(file)) {
                taker.take(name, Files.readAllBytes(file));
                return;
            }
            try (MailboxFile many = new MailboxFile(Files.newInputStream(file))) {
                int number = 1;
                for (Optional<byte[]> next = many.next(); next.isPresent(); next = many.next()) {
                    taker.take(name + "#" + number++, next.get());
                }
            }
        } catch (IOException unreadable) {
            throw new BadFile(file, "", "can't be read: " + unreadable.getMessage());
        }
    }

    private static boolean isMany(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return MailboxFile.begins(in.readNBytes(8));
        }
    }
}
