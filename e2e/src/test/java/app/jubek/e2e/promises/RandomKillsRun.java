package app.jubek.e2e.promises;

import static app.jubek.e2e.promises.Bench.EDUCATION;
import static app.jubek.e2e.promises.Bench.VISITS;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Twenty times over a thousand messages the server is killed at a moment that a seed chooses. Run by bin/soak. */
class RandomKillsRun {
    private static final int ROUNDS = 20;
    private static final int MESSAGES = 50;
    private static final List<String> KINDS = List.of("tour", "question", "seeds", "group");
    private static final long SEED = Long.getLong("soak.seed", 20_261_126L);

    @Test
    void nothingIsLostAndWhatMayHaveLeftTwiceIsRecorded() throws IOException {
        Random random = new Random(SEED);
        try (Bench bench = new Bench("soak")) {
            Node node = bench.start();
            for (int round = 0; round < ROUNDS; round++) {
                for (int i = 0; i < MESSAGES; i++) {
                    int number = round * MESSAGES + i;
                    String subject = KINDS.get(random.nextInt(KINDS.size())) + " " + number;
                    bench.deliver(Bench.letter("s" + number + "@school.example", subject, "x"));
                }
                Bench.pause(random.nextInt(1_500));
                node.kill();
                node = bench.start();
            }
            Bench.await(
                    "all is done", Duration.ofMinutes(4), () -> taken(bench) == ROUNDS * MESSAGES && open(bench) == 0);
            compare(bench);
        }
    }

    private static long taken(Bench bench) {
        return bench.count("select count(*) from message where decision is not null");
    }

    private static long open(Bench bench) {
        return bench.count("select count(*) from step where state in ('READY', 'SENDING')");
    }

    private static void compare(Bench bench) {
        List<String> arrived = bench.mail(EDUCATION, "INBOX").stream()
                .map(m -> Bench.field(m, "Resent-Message-ID"))
                .toList();
        long handedOn = bench.count("select count(*) from step where kind = 'REDIRECT'");
        long perhapsTwice = bench.count("select count(*) from step where kind = 'REDIRECT' and perhaps_twice");
        long uncertain = bench.count("select count(*) from step where state = 'UNCERTAIN'");
        int repeats = arrived.size() - new HashSet<>(arrived).size();
        assertThat(new HashSet<>(arrived)).as("none is lost").hasSize((int) handedOn);
        assertThat(repeats).as("each repeat is recorded").isLessThanOrEqualTo((int) perhapsTwice);

        long answers = bench.count("select count(*) from step where kind = 'REPLY'");
        int answered = 0;
        for (int i = 0; i < ROUNDS * MESSAGES; i++) {
            int got = bench.mail("s" + i + "@school.example", "INBOX").size();
            assertThat(got).as("answers to s" + i).isLessThanOrEqualTo(1);
            answered += got;
        }
        assertThat(answered + uncertain).as("each answer left or is uncertain").isGreaterThanOrEqualTo(answers);

        long toBeFiled = bench.count("select count(*) from step where kind = 'FILE'");
        int filed = bench.mail(VISITS, "Seeds").size()
                + bench.mail(VISITS, "Groups").size();
        assertThat(filed).as("each is filed once").isEqualTo((int) toBeFiled);
        assertThat(bench.mail(VISITS, "INBOX")).hasSize(ROUNDS * MESSAGES - filed);
        System.out.printf(
                "seed %d: %d kills, %d messages: %d hand-overs, none lost, %d arrived twice of %d recorded as perhaps"
                        + " twice; %d answers, %d arrived, none twice, %d uncertain; %d filed, each once%n",
                SEED, ROUNDS, ROUNDS * MESSAGES, handedOn, repeats, perhapsTwice, answers, answered, uncertain, filed);
    }
}
