package app.jubek.server.watching;

import app.jubek.core.message.ByteSource;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** A large message on its way, in a file that is gone when it is closed. */
final class Spool implements ByteSource, AutoCloseable {
    private final Path file;
    private final OutputStream out;

    Spool() throws IOException {
        file = Files.createTempFile("jubek", ".eml");
        out = new BufferedOutputStream(Files.newOutputStream(file));
    }

    void add(byte[] part) throws IOException {
        out.write(part);
    }

    void complete() throws IOException {
        out.close();
    }

    @Override
    public long size() {
        try {
            return Files.size(file);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    @Override
    public InputStream open() {
        try {
            return Files.newInputStream(file);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    @Override
    public void close() throws IOException {
        out.close();
        Files.deleteIfExists(file);
    }
}
