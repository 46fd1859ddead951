package app.jubek.server.evidence;

import app.jubek.core.rehearse.Counter;
import app.jubek.core.rehearse.Evidence;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;

/** Messages of a counter by week, oldest week first. */
final class Weeks {
    private static final int WEEK = 7;

    private Weeks() {}

    static List<Integer> of(Evidence evidence, Counter counter, Instant now, int days) {
        int[] weeks = new int[(days + WEEK - 1) / WEEK];
        evidence.standings().stream()
                .filter(s -> s.counters().contains(counter))
                .forEach(s -> {
                    long ago = Duration.between(s.message().received(), now).toDays() / WEEK;
                    int at = weeks.length - 1 - (int) Math.min(Math.max(ago, 0), weeks.length - 1);
                    weeks[at]++;
                });
        return Arrays.stream(weeks).boxed().toList();
    }
}
