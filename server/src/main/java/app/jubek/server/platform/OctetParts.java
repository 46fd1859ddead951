package app.jubek.server.platform;

import app.jubek.core.message.Octets;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.io.UncheckedIOException;
import java.util.Enumeration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Octets kept in a table in parts of a mebibyte, written and read one part at a time. */
public final class OctetParts {
    private static final int PART = 1 << 20;

    private final JdbcClient jdbc;
    private final String table;
    private final String owner;

    /**
     * @param table has the columns part, stored_on and octets
     * @param owner the column that names whose octets they are
     */
    public OctetParts(JdbcClient jdbc, String table, String owner) {
        this.jdbc = jdbc;
        this.table = table;
        this.owner = owner;
    }

    /** Inside the caller's transaction. */
    public void store(Object id, Octets octets) {
        try (InputStream in = octets.open()) {
            int part = 0;
            byte[] read = in.readNBytes(PART);
            do {
                jdbc.sql("insert into " + table + " (" + owner
                                + ", part, stored_on, octets) values (?, ?, current_date, ?)")
                        .params(id, part++, read)
                        .update();
                read = in.readNBytes(PART);
            } while (read.length > 0);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** What is kept; its parts are fetched when they are read. Empty when it was cleared away or never was. */
    public Octets of(Object id) {
        return new Octets() {
            @Override
            public long size() {
                return jdbc.sql("select coalesce(sum(length(octets)), 0) from " + table + " where " + owner + " = ?")
                        .param(id)
                        .query(Long.class)
                        .single();
            }

            @Override
            public InputStream open() {
                int parts = jdbc.sql("select count(*) from " + table + " where " + owner + " = ?")
                        .param(id)
                        .query(Integer.class)
                        .single();
                return new SequenceInputStream(new Parts(id, parts));
            }
        };
    }

    public boolean has(Object id) {
        return jdbc.sql("select exists (select 1 from " + table + " where " + owner + " = ?)")
                .param(id)
                .query(Boolean.class)
                .single();
    }

    private final class Parts implements Enumeration<InputStream> {
        private final Object id;
        private final int parts;
        private int next;

        Parts(Object id, int parts) {
            this.id = id;
            this.parts = parts;
        }

        @Override
        public boolean hasMoreElements() {
            return next < parts;
        }

        @Override
        public InputStream nextElement() {
            return new ByteArrayInputStream(
                    jdbc.sql("select octets from " + table + " where " + owner + " = ? and part = ?")
                            .params(id, next++)
                            .query(byte[].class)
                            .single());
        }
    }
}
