package app.jubek.server.platform;

import java.util.Optional;
import java.util.UUID;

/** An id as a page wrote it. */
public final class WrittenId {
    private WrittenId() {}

    /** Empty where it is no UUID, so names nothing that is stored. */
    public static Optional<UUID> uuid(String written) {
        try {
            return Optional.of(UUID.fromString(written));
        } catch (IllegalArgumentException noUuid) {
            return Optional.empty();
        }
    }
}
