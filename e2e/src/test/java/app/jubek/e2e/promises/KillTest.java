package app.jubek.e2e.promises;

import static app.jubek.e2e.promises.Bench.EDUCATION;
import static app.jubek.e2e.promises.Bench.VISITS;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The server is killed at the worst moments and started again; nothing is lost, nothing is answered twice. */
class KillTest {
    private static Bench bench;
    private static Node node;

    @BeforeAll
    static void open() throws IOException {
        bench = new Bench("kill");
        node = bench.start();
    }

    @AfterAll
    static void close() {
        bench.close();
    }

    /** Kills the server while conversations stand still, then lets the world go on. */
    private static void killWhileWaiting(int conversations) {
        Bench.await("it stands still", () -> bench.faults().waiting() >= conversations);
        killAndStartAgain();
    }

    private static void killAndStartAgain() {
        node.kill();
        bench.faults().clear();
        node = bench.start();
    }

    private static void oncePerMessage(String subject) {
        assertThat(bench.count("select count(*) from message where subject = '" + subject + "'"))
                .isEqualTo(1);
    }

    @Test
    void afterFetching() {
        bench.faults().call("imap-hangs-at-fetch", 1);
        bench.write("tour fetched", "x");
        killWhileWaiting(1);
        Bench.step(node, "tour fetched", "REDIRECT", "SENT");
        oncePerMessage("tour fetched");
        assertThat(bench.mail(EDUCATION, "INBOX", "tour fetched")).hasSize(1);
    }

    /** The mailbox has as many steps under way as it may, so that the next message is planned and nothing more. */
    @Test
    void afterPlanning() {
        bench.faults().call("smtp-hangs-before-mail", 5);
        for (int i = 1; i <= 4; i++) {
            bench.writeAnew("question busy " + i);
        }
        bench.write("tour busy", "x");
        Bench.await("all are busy", () -> bench.faults().waiting() == 5);
        bench.write("tour planned", "x");
        Bench.step(node, "tour planned", "REDIRECT", "READY");
        killWhileWaiting(5);
        assertThat(Bench.codes(Bench.step(node, "tour planned", "REDIRECT", "SENT")))
                .isEmpty();
        assertThat(bench.mail(EDUCATION, "INBOX", "tour planned")).hasSize(1);
    }

    @Test
    void beforeMailFrom() {
        bench.faults().call("smtp-hangs-before-mail", 1);
        bench.write("tour before mail", "x");
        killWhileWaiting(1);
        assertThat(Bench.codes(Bench.step(node, "tour before mail", "REDIRECT", "SENT")))
                .containsExactly("PERHAPS_TWICE");
        assertThat(bench.mail(EDUCATION, "INBOX", "tour before mail")).hasSize(1);
    }

    @Test
    void afterTheFinalDot() {
        bench.faults().call("smtp-hangs-after-dot", 2);
        bench.deliver(Bench.letter("dot@school.example", "group after dot", "x"));
        killWhileWaiting(2);
        Bench.step(node, "group after dot", "REDIRECT", "SENT");
        Bench.step(node, "group after dot", "REPLY", "UNCERTAIN");
        List<String> copies = bench.mail(EDUCATION, "INBOX", "group after dot");
        assertThat(copies).hasSize(2);
        assertThat(copies)
                .extracting(m -> Bench.field(m, "Resent-Message-ID"))
                .containsOnly(Bench.field(copies.get(0), "Resent-Message-ID"));
        assertThat(bench.mail("dot@school.example", "INBOX")).hasSize(1);
    }

    @Test
    void duringAMove() {
        for (String moment : List.of("before", "after")) {
            bench.faults().call("imap-hangs-" + moment + "-move", 1);
            bench.write("seeds " + moment + " move", "x");
            killWhileWaiting(1);
            Bench.step(node, "seeds " + moment + " move", "FILE", "SENT");
            assertThat(bench.mail(VISITS, "Seeds", "seeds " + moment + " move")).hasSize(1);
            assertThat(bench.mail(VISITS, "INBOX", "seeds " + moment + " move")).isEmpty();
        }
    }
}
