package app.jubek.e2e.promises;

import static app.jubek.e2e.promises.Bench.EDUCATION;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Messages of 30 MB are streamed: none of them is in memory whole. */
class LargeMessageTest {
    private static final int LINES = 390_000;
    private static final int MESSAGES = 4;

    @Test
    void fourOf30MegabytesAtOncePassThroughAMemoryThatCouldNotHoldThem() throws IOException {
        try (Bench bench = new Bench("large")) {
            Node node = bench.watching(bench.begin(List.of("-Xmx160m"), Map.of()));
            String text = ("x".repeat(76) + "\r\n").repeat(LINES);
            for (int i = 0; i < MESSAGES; i++) {
                bench.write("tour large " + i, text);
            }
            Bench.await(
                    "all are handed on",
                    Duration.ofMinutes(2),
                    () -> bench.count("select count(*) from step where kind = 'REDIRECT' and state = 'SENT'")
                            == MESSAGES);
            assertThat(bench.mail(EDUCATION, "INBOX")).hasSize(MESSAGES).allMatch(m -> m.contains(text), "is complete");
            assertThat(node.log()).doesNotContain("OutOfMemory");
        }
    }
}
