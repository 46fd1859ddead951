package app.jubek.e2e.promises;

import static app.jubek.e2e.promises.Bench.EDUCATION;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Two server processes on one database and one mailbox, one of them with a clock that is five minutes slow. */
class TwoNodesTest {
    private static final Path FAKE_TIME = Path.of("/usr/lib/x86_64-linux-gnu/faketime/libfaketime.so.1");
    private static final int MESSAGES = 200;

    private static Map<String, String> fiveMinutesSlow() {
        assertThat(FAKE_TIME).as("Debian's package faketime").exists();
        return Map.of(
                "LD_PRELOAD", FAKE_TIME.toString(),
                "FAKETIME", "-300s",
                "FAKETIME_DONT_FAKE_MONOTONIC", "1",
                "FAKETIME_FORCE_MONOTONIC_FIX", "0");
    }

    private static long done(Bench bench, String word) {
        return bench.count("select count(*) from step s join message m on m.id = s.message_id where m.subject like '"
                + word + "%' and s.state in ('SENT', 'WITHHELD')");
    }

    @Test
    void everyMessageIsDecidedAndDoneOnceAndTheOtherTakesOverWithinAMinute() throws IOException {
        try (Bench bench = new Bench("nodes")) {
            Node one = bench.start();
            Node slow = bench.begin(List.of(), fiveMinutesSlow()).ready();
            Bench.await("its clock is known to be off", () -> slow.log().contains("off the database's"));
            for (int i = 0; i < MESSAGES; i++) {
                bench.deliver(Bench.letter("n" + i + "@school.example", "group " + i, "x"));
            }
            Bench.await("all is done", Duration.ofMinutes(3), () -> done(bench, "group") == 3L * MESSAGES);
            assertThat(bench.count("select count(*) from message where decision is not null"))
                    .isEqualTo(MESSAGES);
            List<String> arrived = bench.mail(EDUCATION, "INBOX").stream()
                    .map(m -> Bench.field(m, "Resent-Message-ID"))
                    .toList();
            assertThat(arrived).hasSize(MESSAGES);
            assertThat(new HashSet<>(arrived)).hasSize(MESSAGES);
            assertThat(bench.mail(Bench.VISITS, "Groups")).hasSize(MESSAGES);
            assertThat(bench.count("select count(*) from step where kind = 'REPLY' and state = 'SENT'"))
                    .isEqualTo(MESSAGES);
            assertThat(bench.count("select count(distinct claimed_by) from step"))
                    .as("both work")
                    .isEqualTo(2);

            one.kill();
            bench.write("tour after the first was killed", "x");
            Bench.await(
                    "the other takes over",
                    Duration.ofMinutes(1),
                    () -> bench.mail(EDUCATION, "INBOX", "tour after the first was killed")
                                    .size()
                            == 1);
        }
    }

    /** See SchemaVersion: a database is changed only while nobody else works on it. */
    @Test
    void aProcessThatMeetsANewerDatabaseSaysSoAndDoesNotStart() throws IOException {
        try (Bench bench = new Bench("newer")) {
            Node running = bench.start();
            bench.execute("insert into flyway_schema_history (installed_rank, version, description, type, script,"
                    + " installed_by, execution_time, success) values (999, '999', 'newer', 'SQL', 'x', 'x', 0, true)");
            running.await();
            assertThat(running.log()).contains("changed for a newer version of Jubek");
            Node old = bench.begin(List.of(), Map.of());
            old.await();
            assertThat(old.log()).contains("Start the newer version.");
        }
    }

    /** The post office is killed too: its mail, UIDs and UIDVALIDITY outlive it. */
    @Test
    void aMailServerThatIsKilledLosesNothingEither() throws Exception {
        Path data = Files.createTempDirectory("jubek-office");
        try (PostOfficeProcess office = new PostOfficeProcess(data)) {
            office.send("one");
            String before = office.inbox();
            office.kill();
            office.start();
            assertThat(office.inbox()).isEqualTo(before).contains("one");
        }
    }
}
