package app.jubek.server.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;

import app.jubek.server.account.SignedIn;
import app.jubek.server.signals.Signal;
import java.io.IOException;
import java.time.Instant;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

class LiveStreamTest {
    private static final UUID MAILBOX = UUID.randomUUID();
    private static final Signal MESSAGES = new Signal(Signal.Topic.MESSAGES, MAILBOX);
    private static final Signal STEPS = new Signal(Signal.Topic.STEPS, MAILBOX);
    private static final Instant NINE = Instant.parse("2026-11-29T09:00:00Z");

    private final SseEmitter emitter = mock(SseEmitter.class);
    private final LiveStream stream = new LiveStream(mock(SignedIn.class), "session", Set.of(MAILBOX), emitter);

    private static Event event(Signal signal, int second) {
        return new Event(NINE.plusSeconds(second), signal);
    }

    @Test
    void whatWaitsIsWrittenOnceHoweverOftenItChanged() throws IOException {
        assertThat(stream.offer(event(MESSAGES, 0))).as("somebody has to write").isTrue();
        assertThat(stream.offer(event(MESSAGES, 1))).isFalse();
        assertThat(stream.offer(event(STEPS, 2))).isFalse();
        stream.write();
        verify(emitter, times(2)).send(any(SseEmitter.SseEventBuilder.class));
        assertThat(stream.offer(event(MESSAGES, 3))).isTrue();
    }

    @Test
    void aRightThatWasTakenBackHoldsForTheNextEvent() {
        stream.allow(Set.of());
        assertThat(stream.offer(event(MESSAGES, 0))).isFalse();
    }

    @Test
    void whoComesBackGetsWhatWasMissedOrIsToldToLookAtEverything() {
        RecentEvents recent = new RecentEvents(NINE);
        for (int second = 0; second < 10; second++) {
            recent.add(event(second % 2 == 0 ? MESSAGES : STEPS, second));
        }
        assertThat(recent.after(event(STEPS, 7).id()).orElseThrow())
                .as("two seconds more than needed, as clocks differ")
                .containsExactly(event(MESSAGES, 6), event(STEPS, 7), event(MESSAGES, 8), event(STEPS, 9));
        assertThat(recent.after(event(STEPS, -9).id()))
                .as("before this process began")
                .isEmpty();
        assertThat(recent.after("from elsewhere")).isEmpty();
    }
}
