package app.jubek.e2e.promises;

import static app.jubek.e2e.promises.Bench.EDUCATION;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What whoever runs Jubek relies on: signs of life, logs, a stop in good order, backups, keys, age. */
class OperatingTest {
    private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
    private static final String NAME = "operating";

    private static Bench bench;
    private static Node node;

    @BeforeAll
    static void open() throws Exception {
        URI server = URI.create(Bench.DATABASE.substring("jdbc:".length()));
        run("bin/postgres", "start");
        bench = new Bench(NAME, "jdbc:postgresql://127.0.0.1:" + server.getPort() + "/" + NAME, "public");
        node = bench.start();
    }

    @AfterAll
    static void close() {
        bench.close();
    }

    /** A command as an administrator calls it, on the database of this test. */
    private static ProcessBuilder command(String... command) {
        ProcessBuilder builder =
                new ProcessBuilder(command).directory(ROOT.toFile()).redirectErrorStream(true);
        String port = URI.create(Bench.DATABASE.substring("jdbc:".length())).getPort() + "";
        builder.environment()
                .putAll(Map.of("PG_BASE", ROOT.resolve(".pg/test").toString(), "PG_PORT", port, "PG_DB", NAME));
        if (bench != null) {
            builder.environment()
                    .put("JUBEK_DATADIR", bench.folder.resolve("jubek").toString());
        }
        return builder;
    }

    private static String run(String... command) throws IOException, InterruptedException {
        Ended ended = Ended.of(command(command));
        assertThat(ended.status()).as(ended.said()).isZero();
        return ended.said();
    }

    private static String refused(String... command) throws IOException, InterruptedException {
        Ended ended = Ended.of(command(command));
        assertThat(ended.status()).as(ended.said()).isNotZero();
        return ended.said();
    }

    /** What a command said and its exit status; its output goes to a file, so that what it leaves running can't keep it open. */
    private record Ended(int status, String said) {
        static Ended of(ProcessBuilder command) throws IOException, InterruptedException {
            Path output = Files.createTempFile("jubek-command", ".log");
            Process process = command.redirectOutput(output.toFile()).start();
            boolean ends = process.waitFor(2, TimeUnit.MINUTES);
            process.destroyForcibly();
            String said = Files.readString(output);
            assertThat(ends).as("ends within two minutes: " + said).isTrue();
            return new Ended(process.exitValue(), said);
        }
    }

    private static JsonNode step(String subject, String kind, String state) {
        return Bench.step(node, subject, kind, state);
    }

    @Test
    void itSaysThatItIsReadyAndMeasuresItselfForWhoeverHasTheToken() throws IOException {
        assertThat(node.get("/livez").statusCode()).isEqualTo(200);
        assertThat(node.get("/actuator/prometheus").statusCode()).isIn(401, 403);
        bench.write("tour measured", "x");
        step("tour measured", "REDIRECT", "SENT");
        String token = Files.readString(bench.folder.resolve("jubek/keys/metrics"));
        String[] bearer = {"Authorization", "Bearer " + token};
        for (String metric : List.of(
                "jubek_outbox_waiting",
                "jubek_outbox_oldest_seconds",
                "jubek_mailbox_contact_age_seconds{mailbox=\"" + Bench.VISITS,
                "jubek_decisions_total",
                "jubek_steps_total{kind=\"redirect\",state=\"sent\"}")) {
            Bench.await(
                    metric,
                    () -> node.get("/actuator/prometheus", bearer).body().contains(metric));
        }
    }

    @Test
    void whatItWritesDownHasNoWordOfTheMailAndNoSecret() {
        bench.faults().call("message-too-large", 1);
        bench.deliver(Bench.letter("orla@school.example", "tour secretsubject", "secretbody"));
        step("tour secretsubject", "REDIRECT", "FAILED");
        assertThat(node.log())
                .contains("\"level\":\"INFO\"")
                .doesNotContain("secretsubject", "secretbody", "orla@", "greenhouse", "\"ostrel\"");
    }

    @Test
    void stoppedInTheMiddleOfSendingItFinishesThatFirst() {
        bench.faults().call("smtp-hangs-after-dot", 1);
        bench.write("tour when stopped", "x");
        Bench.await("it is being sent", () -> bench.faults().waiting() == 1);
        CompletableFuture<Integer> stopping = CompletableFuture.supplyAsync(node::stop);
        Bench.pause(1_000);
        assertThat(stopping).isNotDone();
        bench.faults().release();
        assertThat(stopping.join()).as("ended by SIGTERM").isEqualTo(143);
        node = bench.start();
        assertThat(Bench.codes(step("tour when stopped", "REDIRECT", "SENT"))).isEmpty();
        assertThat(bench.mail(EDUCATION, "INBOX", "tour when stopped")).hasSize(1);
    }

    /** What came in after the backup was acted on before the restoring, and the database does not know it. */
    @Test
    void afterRestoringABackupNothingLeavesASecondTimeUnlessAPersonSaysSo() throws Exception {
        Path backup = bench.folder.resolve("backup");
        run("bin/backup", backup.toString());
        bench.write("tour after the backup", "x");
        step("tour after the backup", "REDIRECT", "SENT");
        node.kill();
        bench.execute("update node set seen_at = now() - interval '1 hour'");
        run("bin/restore", backup.toString());
        node = bench.start();
        JsonNode held = step("tour after the backup", "REDIRECT", "HELD");
        assertThat(Bench.codes(held)).containsExactly("RESTORED");
        bench.write("tour after the restoring", "x");
        step("tour after the restoring", "REDIRECT", "SENT");
        assertThat(bench.mail(EDUCATION, "INBOX", "tour after the backup")).hasSize(1);
        node.act(held.get("id").stringValue(), "SEND_NOW");
        step("tour after the backup", "REDIRECT", "SENT");
    }

    @Test
    void aBackupThatCantBeReadChangesNothing() throws Exception {
        Path broken =
                Files.createDirectories(bench.folder.resolve("broken/keys")).getParent();
        Files.writeString(broken.resolve("database.dump"), "no dump");
        bench.write("tour before the broken backup", "x");
        step("tour before the broken backup", "REDIRECT", "SENT");
        node.stop();
        bench.execute("update node set seen_at = now() - interval '1 hour'");
        long before = bench.count("select count(*) from step");
        assertThat(refused("bin/restore", broken.toString())).contains("nothing was changed");
        assertThat(bench.count("select count(*) from step")).isEqualTo(before);
        node = bench.start();
    }

    @Test
    void aRotatedKeySealsThePasswordsAnewAndTheOldOneMayGo() throws Exception {
        assertThat(run("bin/rotate-key")).contains("restart Jubek");
        node.stop();
        node = bench.start();
        assertThat(bench.count("select count(*) from mailbox where secret_key_id = 'secrets-2'"))
                .isEqualTo(1);
        node.stop();
        Files.delete(bench.folder.resolve("jubek/keys/secrets-1"));
        node = bench.start();
        bench.write("tour with a new key", "x");
        step("tour with a new key", "REDIRECT", "SENT");
    }

    @Test
    void oldMailIsClearedAwayButNotWhatIsStillOpenAndNotTheRecords() {
        bench.faults().call("message-too-large", 1);
        for (String subject : List.of("tour old", "tour old and failed")) {
            bench.write(subject, "x");
        }
        Bench.await(
                "both are settled",
                () -> bench.count("select count(*) from step s join message m"
                                + " on m.id = s.message_id where m.subject like 'tour old%' and kind = 'REDIRECT'"
                                + " and state in ('SENT', 'FAILED')")
                        == 2);
        bench.execute(
                "update message set received_at = received_at - interval '1 year' where subject like 'tour old%'");
        bench.execute("update step set state = 'HELD', reason = 'OVER_LATE' where message_id in"
                + " (select id from message where subject = 'tour old and failed')");
        node.stop();
        node = bench.start("--jubek.upkeep-interval=1s", "--jubek.keep-mail=30d");
        String bytes =
                "select count(*) from message_content o join message m on m.id = o.message_id where m.subject = '";
        Bench.await("the old one is cleared away", () -> bench.count(bytes + "tour old'") == 0);
        assertThat(bench.count(bytes + "tour old and failed'")).isEqualTo(1);
        assertThat(Bench.steps(node, "tour old", "REDIRECT")).hasSize(1);
    }
}
