package app.jubek.server.platform;

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

    public Optional<String> warning() {
        long free = folder.getUsableSpace();
        boolean unknown = free == 0;
        return free >= ENOUGH || unknown
                ? Optional.empty()
                : Optional.of("The disk is nearly full: " + free / MIB
                        + " MB are left. Make room, or new mail can't be taken in; nothing is lost meanwhile.");
    }
}
