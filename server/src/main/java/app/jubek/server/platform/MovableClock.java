package app.jubek.server.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.springframework.stereotype.Component;

/** The clock by which mail is judged: real time, and in the demo real time plus an offset. */
@Component
public class MovableClock extends Clock {
    private volatile Duration offset = Duration.ZERO;

    public void moveBy(Duration newOffset) {
        offset = newOffset;
    }

    public Duration offset() {
        return offset;
    }

    @Override
    public Instant instant() {
        return Instant.now().plus(offset);
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return Clock.offset(Clock.system(zone), offset);
    }
}
