package app.jubek.demo.server;

import app.jubek.server.intake.Messages;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.Watching;
import app.jubek.server.platform.Refused;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.task.SimpleAsyncTaskExecutor;
import org.springframework.stereotype.Component;

/**
 * Lets the last week's mail come in when the mailbox is watched: some hours of it, and the next when those are decided.
 * What comes before is read as past mail meanwhile.
 */
@Component
class LastWeek {
    private static final Duration PATIENCE = Duration.ofMinutes(1);
    private static final long PAUSE_MS = 20;

    private final SimulatedPostOffice postOffice;
    private final Mailboxes mailboxes;
    private final Messages messages;

    LastWeek(SimulatedPostOffice postOffice, Mailboxes mailboxes, Messages messages) {
        this.postOffice = postOffice;
        this.mailboxes = mailboxes;
        this.messages = messages;
    }

    /** Before anything else goes by the clock. The post office may still be filling its mailboxes. */
    @Order(Ordered.HIGHEST_PRECEDENCE)
    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        await(this::postOfficeAnswers);
        if (postOffice.traffic().weekLeft() > 0) {
            new SimpleAsyncTaskExecutor("last-week-").execute(this::play);
        }
    }

    private boolean postOfficeAnswers() {
        try {
            postOffice.clock();
            return true;
        } catch (Refused notYet) {
            return false;
        }
    }

    private void play() {
        await(() -> mailboxes.all().stream()
                .findFirst()
                .filter(m -> isWatched(m.id()))
                .isPresent());
        UUID desk = mailboxes.all().get(0).id();
        int decided = messages.decidedSince(desk, Instant.EPOCH);
        SimulatedPostOffice.Traffic brought;
        do {
            brought = postOffice.nextHours();
            decided += brought.delivered();
            int expected = decided;
            await(() -> messages.decidedSince(desk, Instant.EPOCH) >= expected);
        } while (brought.weekLeft() > 0);
    }

    private boolean isWatched(UUID mailbox) {
        return mailboxes.status(mailbox).watching() == Watching.WATCHING;
    }

    /** Goes on after a minute in any case, so that one message that is never decided does not keep the week back. */
    private static void await(BooleanSupplier state) {
        long end = System.nanoTime() + PATIENCE.toNanos();
        try {
            while (!state.getAsBoolean() && System.nanoTime() < end) {
                Thread.sleep(PAUSE_MS);
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
