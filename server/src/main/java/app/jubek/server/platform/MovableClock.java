package app.jubek.server.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.springframework.stereotype.Component;

/** The clock by which mail is judged: the database's time, and in the demo that plus an offset. */
@Component
public class MovableClock extends Clock {
    private volatile Duration offset = Duration.ZERO;
    private volatile Duration correction = Duration.ZERO;

    public void moveBy(Duration newOffset) {
        offset = newOffset;
    }

    public Duration offset() {
        return offset;
    }

    /** How far the database's clock is ahead of this machine's. */
    public Duration correction() {
        return correction;
    }

    public void correctBy(Duration ahead) {
        correction = ahead;
    }

    @Override
    public Instant instant() {
        return Instant.now().plus(correction).plus(offset);
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return Clock.offset(Clock.system(zone), correction.plus(offset));
    }
}
