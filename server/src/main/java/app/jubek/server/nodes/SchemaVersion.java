package app.jubek.server.nodes;

import app.jubek.server.platform.JubekProperties;
import java.time.Duration;
import org.flywaydb.core.Flyway;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Changes of the database are made only while no other process works on it, and a process that does not know the
 * database's version does not start: an old and a new one never run at once.
 */
@Component
class SchemaVersion {
    /** The newest migration this program knows. */
    static final int KNOWN = 33;

    /** Refuses to start, with what to do. */
    static final class Refuses extends IllegalStateException {
        private static final long serialVersionUID = 1L;

        Refuses(String why) {
            super(why);
        }
    }

    private final JdbcClient jdbc;

    SchemaVersion(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The newest migration that the database has had. */
    int found() {
        return of(jdbc);
    }

    @Bean
    static FlywayMigrationStrategy migration(JubekProperties properties) {
        return flyway -> {
            check(JdbcClient.create(flyway.getConfiguration().getDataSource()), properties.lease());
            migrate(flyway);
        };
    }

    private static void migrate(Flyway flyway) {
        flyway.migrate();
    }

    private static void check(JdbcClient jdbc, Duration lease) {
        boolean begun = exists(jdbc, "flyway_schema_history");
        int found = begun ? of(jdbc) : KNOWN;
        if (found > KNOWN) {
            throw new Refuses("This database was changed for a newer version of Jubek (" + found + ", this one knows "
                    + KNOWN + "). Start the newer version.");
        }
        if (found < KNOWN && exists(jdbc, "node")) {
            int others = jdbc.sql("select count(*) from node where seen_at > now() - ? * interval '1 millisecond'")
                    .param(lease.toMillis())
                    .query(Integer.class)
                    .single();
            if (others > 0) {
                throw new Refuses("Another Jubek process of an older version works on this database. Stop it and wait "
                        + lease.toSeconds() + " seconds, then start this one: it will change the database.");
            }
        }
    }

    private static boolean exists(JdbcClient jdbc, String table) {
        return jdbc.sql("select to_regclass(?) is not null")
                .param(table)
                .query(Boolean.class)
                .single();
    }

    private static int of(JdbcClient jdbc) {
        return jdbc.sql("select coalesce(max(version::int), 0) from flyway_schema_history where success")
                .query(Integer.class)
                .single();
    }
}
