package app.jubek.server.pastmail;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;

/** Messages by week, oldest week first. */
public final class Weeks {
    private static final int WEEK = 7;

    private Weeks() {}

    public static List<Integer> of(Collection<Instant> received, Instant now, int days) {
        int[] weeks = new int[(days + WEEK - 1) / WEEK];
        received.forEach(at -> {
            long ago = Duration.between(at, now).toDays() / WEEK;
            weeks[weeks.length - 1 - (int) Math.min(Math.max(ago, 0), weeks.length - 1)]++;
        });
        return Arrays.stream(weeks).boxed().toList();
    }
}
