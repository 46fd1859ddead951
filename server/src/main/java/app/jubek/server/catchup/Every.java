package app.jubek.server.catchup;

import java.time.Duration;

/** How often a catch-up is done again. */
enum Every {
    HOUR(Duration.ofHours(1)),
    DAY(Duration.ofDays(1)),
    WEEK(Duration.ofDays(7));

    private final Duration pause;

    Every(Duration pause) {
        this.pause = pause;
    }

    Duration pause() {
        return pause;
    }
}
