package app.jubek.core.catchup;

import app.jubek.core.safety.Limits;
import java.time.Duration;
import java.util.Collections;
import java.util.Map;

/** How fast a catch-up goes, so that new mail, other people and the mail server are not held up by it. */
public final class Pace {
    /** Messages a second at most. */
    public static final int MESSAGES_A_SECOND = 10;

    /** Steps of it that may wait to be done: no more are planned until some are. */
    public static final int OPEN_STEPS = 8;

    private Pace() {}

    /** What may leave within an hour before a catch-up waits: half of each limit is left to new mail. */
    public static Limits limits(Limits ofMailbox) {
        return new Limits(
                half(ofMailbox.mailbox()),
                half(ofMailbox.rule()),
                half(ofMailbox.destination()),
                half(ofMailbox.sender()));
    }

    private static int half(int limit) {
        return Math.max(1, limit / 2);
    }

    /**
     * How long it takes at least.
     *
     * @param leaving messages that leave
     * @param recipients how many reach each
     */
    static Duration takes(int messages, int leaving, Map<String, Integer> recipients, Limits ofMailbox) {
        Limits limits = limits(ofMailbox);
        int most = recipients.isEmpty() ? 0 : Collections.max(recipients.values());
        long hours =
                Math.max(full(leaving, Math.min(limits.mailbox(), limits.rule())), full(most, limits.destination()));
        Duration atPace = Duration.ofSeconds((messages + MESSAGES_A_SECOND - 1) / MESSAGES_A_SECOND);
        Duration within = Duration.ofHours(hours);
        return atPace.compareTo(within) > 0 ? atPace : within;
    }

    /** How often a limit has to be waited for. */
    private static long full(int messages, int limit) {
        return Math.max(0, (messages - 1) / limit);
    }
}
