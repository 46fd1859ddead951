package app.jubek.demo.postoffice;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** Real time plus an offset, which is kept in a file. */
public final class OffsetClock extends Clock {
    private final Path file;
    private volatile Duration offset;

    public OffsetClock(Path file) {
        this.file = file;
        this.offset = stored(file);
    }

    public Duration offset() {
        return offset;
    }

    public void moveTo(Duration newOffset) {
        try {
            Files.writeString(file, newOffset.toString());
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
        offset = newOffset;
    }

    private static Duration stored(Path file) {
        try {
            return Files.exists(file) ? Duration.parse(Files.readString(file).strip()) : Duration.ZERO;
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
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
