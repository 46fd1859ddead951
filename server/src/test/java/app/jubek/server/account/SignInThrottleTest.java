package app.jubek.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.matches;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How long one waits after wrong passwords; that the database counts them is shown elsewhere. */
class SignInThrottleTest {
    private static final Instant NOW = Instant.parse("2026-11-02T09:00:00Z");
    private static final SignInOrigin HERE = new SignInOrigin("192.0.2.1", "", "");

    private final SignInAttemptRepository attempts = mock(SignInAttemptRepository.class);
    private final SignInThrottle throttle = new SignInThrottle(attempts);

    private record Told(long getTimes, Optional<Instant> getLast, Instant getNow)
            implements SignInAttemptRepository.Counted {}

    private void wrong(String counted, long times, Instant last) {
        when(attempts.count(anyString())).thenReturn(new Told(0, Optional.empty(), NOW));
        when(attempts.count(matches("^" + counted))).thenReturn(new Told(times, Optional.ofNullable(last), NOW));
    }

    private long pause() {
        SignInThrottle.SignInPaused paused =
                catchThrowableOfType(SignInThrottle.SignInPaused.class, () -> throttle.begin("ilse", HERE));
        return paused == null ? 0 : paused.seconds();
    }

    @ParameterizedTest
    @CsvSource({
        "name at place, 4, 0",
        "name at place, 5, 1",
        "name at place, 6, 2",
        "name at place, 12, 128",
        "name at place, 99, 900",
        "name [0-9a-f]+$, 19, 0",
        "name [0-9a-f]+$, 20, 1",
        "name [0-9a-f]+$, 99, 30",
        "place, 20, 1",
        "place, 99, 900"
    })
    void thePauseDoublesUpToAQuarterOfAnHourAndForANameFromAnywhereUpToHalfAMinute(
            String counted, long times, long seconds) {
        wrong(counted, times, NOW);
        assertThat(pause()).isEqualTo(seconds);
    }

    @Test
    void whatIsLeftOfAPauseIsSaidAndAnAttemptMadeTooEarlyDoesNotCount() {
        wrong("name at place", 8, NOW.minusSeconds(3));
        assertThat(pause()).isEqualTo(5);
        verify(attempts, never()).note(any(), any());
        wrong("name at place", 8, NOW.minusSeconds(8));
        assertThat(pause()).isZero();
    }
}
