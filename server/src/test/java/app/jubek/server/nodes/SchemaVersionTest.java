package app.jubek.server.nodes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.jdbc.core.simple.JdbcClient;

/** An old and a new version never work on one database at once. */
class SchemaVersionTest extends app.jubek.server.ServerContext {
    @Autowired
    private FlywayMigrationStrategy migration;

    @Autowired
    private Flyway flyway;

    @Autowired
    private JdbcClient jdbc;

    @Test
    void theProgramKnowsItsNewestMigration() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("src/main/resources/db/migration"))) {
            assertThat(files.mapToInt(f ->
                                    Integer.parseInt(f.getFileName().toString().replaceAll("V(\\d+)__.*", "$1")))
                            .max())
                    .hasValue(SchemaVersion.KNOWN);
        }
    }

    @Test
    void aNewerVersionDoesNotChangeTheDatabaseUnderAnOlderProcess() {
        jdbc.sql("update flyway_schema_history set success = false where version = ?")
                .param(Integer.toString(SchemaVersion.KNOWN))
                .update();
        try {
            assertThatThrownBy(() -> migration.migrate(flyway)).hasMessageContaining("Stop it and wait 4 seconds");
        } finally {
            jdbc.sql("update flyway_schema_history set success = true").update();
        }
    }
}
