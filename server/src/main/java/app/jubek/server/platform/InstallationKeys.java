package app.jubek.server.platform;

import com.google.re2j.Pattern;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The installation's keys, each in a file of its own outside the database, readable by its owner only. */
@Component
public class InstallationKeys {
    private static final int BYTES = 32;

    private final Path folder;

    InstallationKeys(JubekProperties properties) {
        this.folder = properties.dataDir().resolve("keys");
    }

    /** The key of that name, made on first use. */
    public byte[] key(String name) {
        Path file = folder.resolve(name);
        try {
            if (!Files.exists(file)) {
                create(file);
            }
            return Base64.getDecoder().decode(Files.readString(file).strip());
        } catch (IOException failed) {
            throw new UncheckedIOException("the key " + file + " can't be read or written", failed);
        }
    }

    /** The highest number N for which there is a key "name-N"; 1 when there is none yet. */
    int newest(String name) {
        try (Stream<Path> files = Files.isDirectory(folder) ? Files.list(folder) : Stream.of()) {
            return files.map(file -> file.getFileName().toString())
                    .filter(file -> Pattern.matches(name + "-\\d{1,6}", file))
                    .mapToInt(file -> Integer.parseInt(file.substring(name.length() + 1)))
                    .max()
                    .orElse(1);
        } catch (IOException failed) {
            throw new UncheckedIOException("the keys in " + folder + " can't be listed", failed);
        }
    }

    /** Writes something for the owner's eyes only into a file of that name, and returns the file. */
    public Path note(String name, String secret) {
        Path file = folder.resolve(name);
        try {
            Files.deleteIfExists(file);
            create(file, secret);
            return file;
        } catch (IOException failed) {
            throw new UncheckedIOException(file + " can't be written", failed);
        }
    }

    private static void create(Path file) throws IOException {
        byte[] key = new byte[BYTES];
        new SecureRandom().nextBytes(key);
        create(file, Base64.getEncoder().encodeToString(key));
    }

    private static void create(Path file, String content) throws IOException {
        Files.createDirectories(file.getParent());
        Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        Files.writeString(file, content, StandardOpenOption.WRITE);
    }
}
