package app.jubek.e2e.promises;

import static app.jubek.e2e.promises.Bench.EDUCATION;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Much mail at once, after an outage: two days' here, a week's in {@code bin/soak backlog}. */
class BacklogTest {
    private static final int BACKLOG = Integer.getInteger("soak.backlog", 500);

    private static Bench bench;
    private static Node node;

    @BeforeAll
    static void open() throws IOException {
        bench = new Bench("backlog");
        node = bench.start();
    }

    @AfterAll
    static void close() {
        bench.close();
    }

    /** Killed in the middle of taking it in. */
    @Test
    void noneIsLostAndNoneDecidedTwiceThoughTheServerIsKilledInTheMiddle() {
        node.kill();
        for (int i = 0; i < BACKLOG; i++) {
            bench.deliver(Bench.letter("p" + i + "@school.example", "tour " + i, "x"));
        }
        node = bench.start();
        Bench.await("some are taken in", Duration.ofMinutes(3), () -> received() > BACKLOG / 4);
        node.kill();
        node = bench.start();
        Bench.await("all are handed on", Duration.ofMinutes(3), () -> sent() == BACKLOG);
        assertThat(received()).isEqualTo(BACKLOG);
        List<String> arrived = bench.mail(EDUCATION, "INBOX").stream()
                .filter(m -> Bench.field(m, "Subject").matches("tour \\d+"))
                .map(m -> Bench.field(m, "Resent-Message-ID"))
                .toList();
        assertThat(new HashSet<>(arrived)).hasSize(BACKLOG);
        long perhapsTwice = bench.count("select count(*) from step where perhaps_twice");
        assertThat(arrived.size() - BACKLOG).as("repeats are recorded").isLessThanOrEqualTo((int) perhapsTwice);
        assertThat(bench.count("select count(*) from (select received_at, lag(received_at) over (order by id) as before"
                        + " from message where subject ~ '^tour [0-9]+$') m where before > received_at"))
                .as("taken in in order")
                .isZero();
    }

    private static long received() {
        return bench.count("select count(*) from message where subject ~ '^tour [0-9]+$'");
    }

    private static long sent() {
        return bench.count("select count(*) from step s join message m on m.id = s.message_id"
                + " where m.subject ~ '^tour [0-9]+$' and s.state = 'SENT'");
    }
}
