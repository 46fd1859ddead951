package app.jubek.e2e.promises;

import static app.jubek.e2e.promises.Bench.VISITS;
import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.Flags;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A mailbox of 50,000 messages is connected, the server killed while it reads them. Run by bin/soak. */
class FirstReadingRun {
    private static final int MESSAGES = 50_000;
    private static final int REMOVED = 500;

    @Test
    void itGoesOnWhereItWasAndWhatIsRemovedLeavesTheEvidence() throws IOException {
        try (Bench bench = new Bench("reading")) {
            for (int i = 0; i < MESSAGES; i++) {
                bench.deliver(Bench.letter("r" + i + "@school.example", "tour " + i, "A short message, number " + i));
            }
            long began = System.nanoTime();
            Node node = begin(bench);
            Bench.await("some is read", Duration.ofMinutes(10), () -> read(bench) > MESSAGES * 2 / 5);
            String progress = node.mailboxView().toString();
            long before = read(bench);
            node.kill();
            node = begin(bench);
            Bench.await("all is read", Duration.ofMinutes(10), () -> read(bench) == MESSAGES);
            double seconds = (System.nanoTime() - began) / 1e9;
            assertThat(bench.count("select count(*) from step"))
                    .as("nothing is acted on")
                    .isZero();
            bench.imap(VISITS, "INBOX", (store, inbox) -> {
                inbox.setFlags(1, REMOVED, new Flags(Flags.Flag.DELETED), true);
                inbox.expunge();
                return true;
            });
            Bench.await(
                    "what was removed leaves the evidence",
                    Duration.ofMinutes(2),
                    () -> bench.count("select count(*) from message where gone_at is null") == MESSAGES - REMOVED);
            System.out.printf(
                    "first reading of %d messages: %.0f s with a kill at %d, heap limit 256 MB; on the screen then: %s%n",
                    MESSAGES, seconds, before, progress);
        }
    }

    private static Node begin(Bench bench) {
        return bench.begin(List.of("-Xmx256m"), Map.of(), "--jubek.upkeep-interval=5s")
                .ready();
    }

    private static long read(Bench bench) {
        return bench.count("select count(*) from message");
    }
}
