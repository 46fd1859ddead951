package app.jubek.server.platform;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
import java.io.File;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Says so before the disk is full. */
@Component
public class DiskSpace {
    private static final long MIB = 1L << 20;
    private static final long ENOUGH = 500 * MIB;

    private final File folder;

    DiskSpace(JubekProperties properties) {
        this.folder = properties.dataDir().toAbsolutePath().toFile();
    }

    public Optional<Trouble> warning() {
        long free = folder.getUsableSpace();
        boolean unknown = free == 0;
        return free >= ENOUGH || unknown
                ? Optional.empty()
                : Optional.of(Trouble.of(Failure.DISK_NEARLY_FULL.with(free / MIB), Advice.MAKE_DISK_ROOM));
    }
}
