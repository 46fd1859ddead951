package app.jubek.server.platform;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** All work that is to go on while the server runs. Readiness says "down" while some of it does not. */
@Component("work")
public class StandingWorks implements HealthIndicator {
    private final List<StandingWork> works = new CopyOnWriteArrayList<>();

    StandingWorks(MeterRegistry registry) {
        Gauge.builder("jubek.work.down", works, StandingWorks::down)
                .description("watchers and workers that do not run")
                .register(registry);
        Gauge.builder("jubek.work.restarts", works, StandingWorks::restarts)
                .description("how often one of them was begun again since the start")
                .register(registry);
    }

    /** Begins work, and sees to it that it goes on. */
    public StandingWork start(String name, Runnable work) {
        StandingWork standing = new StandingWork(name, work);
        standing.start();
        works.add(standing);
        return standing;
    }

    @Scheduled(fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
    void tend() {
        works.removeIf(StandingWork::isStopped);
        works.forEach(StandingWork::tend);
    }

    private static long down(List<StandingWork> works) {
        return works.stream()
                .filter(work -> !work.isStopped() && !work.isAlive())
                .count();
    }

    private static int restarts(List<StandingWork> works) {
        return works.stream().mapToInt(StandingWork::restarts).sum();
    }

    @Override
    public Health health() {
        List<String> down = works.stream()
                .filter(work -> !work.isStopped() && !work.isAlive())
                .map(StandingWork::name)
                .toList();
        return down.isEmpty()
                ? Health.up().build()
                : Health.down().withDetail("not running", down).build();
    }
}
