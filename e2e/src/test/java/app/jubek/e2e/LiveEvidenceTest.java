package app.jubek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Nobody waits for the evidence. {@code bin/bench-evidence} gives the times on 20,000 messages. */
class LiveEvidenceTest extends Journey {
    private static final int EDITS = 24;
    private static final double AT_MOST_ROUND_TRIPS = 15;

    @Test
    void theEvidenceFollowsEachKeyWithinAFewRoundTrips() {
        EditTimes times = new EditTimes(page);
        times.openRule(Demo.ADDRESS);
        times.edit(EDITS);
        assertThat(times.median()).isLessThan(AT_MOST_ROUND_TRIPS * times.roundTrip());
    }
}
