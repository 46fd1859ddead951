package app.jubek.server.content;

import app.jubek.core.message.ByteSource;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.io.UncheckedIOException;
import java.util.Collection;
import java.util.Enumeration;
import java.util.List;

/**
 * Bytes kept in parts of a mebibyte, written and read one part at a time.
 *
 * @param <O> the id of what they belong to
 */
public abstract class ContentParts<O> {
    private static final int PART = 1 << 20;

    private final ContentPartRepository<?, ?, O> repository;

    ContentParts(ContentPartRepository<?, ?, O> repository) {
        this.repository = repository;
    }

    /** Inside the caller's transaction. */
    public void store(O owner, ByteSource bytes) {
        try (InputStream in = bytes.open()) {
            int part = 0;
            byte[] read = in.readNBytes(PART);
            do {
                repository.put(owner, part++, read);
                read = in.readNBytes(PART);
            } while (read.length > 0);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** Inside the caller's transaction. */
    public void remove(Collection<O> owners) {
        if (!owners.isEmpty()) {
            repository.remove(owners);
        }
    }

    /** Puts it in the place of what was kept, inside the caller's transaction. */
    public void replace(O owner, ByteSource bytes) {
        remove(List.of(owner));
        store(owner, bytes);
    }

    /** What is kept; its parts are fetched when they are read. Empty when it was cleared away or never was. */
    public ByteSource of(O owner) {
        return new ByteSource() {
            @Override
            public long size() {
                return repository.size(owner);
            }

            @Override
            public InputStream open() {
                return new SequenceInputStream(new Parts(owner, repository.parts(owner)));
            }
        };
    }

    public boolean has(O owner) {
        return repository.parts(owner) > 0;
    }

    private final class Parts implements Enumeration<InputStream> {
        private final O owner;
        private final int parts;
        private int next;

        Parts(O owner, int parts) {
            this.owner = owner;
            this.parts = parts;
        }

        @Override
        public boolean hasMoreElements() {
            return next < parts;
        }

        @Override
        public InputStream nextElement() {
            return new ByteArrayInputStream(repository.bytes(owner, next++));
        }
    }
}
