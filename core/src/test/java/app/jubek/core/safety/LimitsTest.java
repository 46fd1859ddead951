package app.jubek.core.safety;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.Reason;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class LimitsTest {
    private static final Instant NOON = Instant.parse("2026-12-01T12:00:00Z");
    private static final Limits LIMITS = new Limits(10, 8, 6, 4);

    private static Limits.Leaving leaving(int minute, String rule, String to, String sender) {
        return new Limits.Leaving(NOON.plus(Duration.ofMinutes(minute)), rule, to, sender);
    }

    @Test
    void theNarrowestLimitIsNamed() {
        assertThat(LIMITS.reached(new Limits.Flow(9, 7, 5, 3))).isEmpty();
        assertThat(LIMITS.reached(new Limits.Flow(10, 8, 6, 4))).contains(Reason.SENDER_LIMIT);
        assertThat(LIMITS.reached(new Limits.Flow(10, 8, 6, 3))).contains(Reason.RULE_LIMIT);
        assertThat(LIMITS.reached(new Limits.Flow(10, 7, 6, 3))).contains(Reason.DESTINATION_LIMIT);
        assertThat(LIMITS.reached(new Limits.Flow(10, 7, 5, 3))).contains(Reason.HOURLY_LIMIT);
    }

    /** A stranger who writes without end is held, and the mail of everybody else goes on. */
    @Test
    void aSenderUsesUpNoMoreThanItsShare() {
        List<Limits.Leaving> past = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            past.add(leaving(i, "alarms", "duty", "stranger"));
        }
        past.add(leaving(31, "alarms", "duty", "anna"));
        past.add(leaving(32, "visits", "education", "bo"));
        assertThat(LIMITS.held(past)).isEqualTo(Map.of(Reason.SENDER_LIMIT, 26));
    }

    /** After an hour there is room again; what was held does not count. */
    @Test
    void anHourIsCountedBackFromEachMessage() {
        List<Limits.Leaving> past = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            past.add(leaving(i, "r", "to" + i, "s" + i));
        }
        past.add(leaving(59, "r", "to", "s"));
        past.add(leaving(60, "r", "to", "s"));
        past.add(leaving(61, "r", "to", "s"));
        assertThat(LIMITS.held(past)).isEqualTo(Map.of(Reason.RULE_LIMIT, 2));
    }
}
