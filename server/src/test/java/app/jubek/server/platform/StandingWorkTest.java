package app.jubek.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import io.micrometer.core.instrument.simple.SimpleMeterRegistry;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.boot.health.contributor.Status;

/** What is to go on goes on. */
class StandingWorkTest {
    private final SimpleMeterRegistry registry = new SimpleMeterRegistry();
    private final StandingWorks works = new StandingWorks(registry);

    @Test
    void workThatBreaksOffIsBegunAgain() throws InterruptedException {
        AtomicInteger begun = new AtomicInteger();
        CountDownLatch again = new CountDownLatch(1);
        StandingWork work = works.start("outbox", () -> {
            if (begun.incrementAndGet() == 1) {
                throw new StackOverflowError();
            }
            again.countDown();
            park();
        });
        assertThat(again.await(2, TimeUnit.MINUTES)).isTrue();
        assertThat(registry.get("jubek.work.restarts").gauge().value()).isEqualTo(1);
        assertThat(works.health().getStatus()).isEqualTo(Status.UP);
        work.stop();
    }

    @Test
    void aThreadThatDiedIsSeenAndReplaced() throws InterruptedException {
        AtomicInteger begun = new AtomicInteger();
        CountDownLatch stays = new CountDownLatch(1);
        StandingWork work = works.start("watch", () -> {
            if (begun.incrementAndGet() > 1) {
                stays.countDown();
                park();
            }
        });
        work.join(java.time.Duration.ofMinutes(2));
        assertThat(works.health().getStatus()).isEqualTo(Status.DOWN);
        assertThat(registry.get("jubek.work.down").gauge().value()).isEqualTo(1);
        works.tend();
        assertThat(stays.await(2, TimeUnit.MINUTES)).isTrue();
        assertThat(works.health().getStatus()).isEqualTo(Status.UP);
        work.stop();
    }

    private static void park() {
        try {
            Thread.sleep(60_000);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
