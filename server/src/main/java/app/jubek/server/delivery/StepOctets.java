package app.jubek.server.delivery;

import app.jubek.core.message.Octets;
import app.jubek.server.platform.OctetParts;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The octets of what leaves, frozen when it was planned; of a redirect the added block alone. */
@Component
class StepOctets {
    private final OctetParts parts;

    StepOctets(JdbcClient jdbc) {
        parts = new OctetParts(jdbc, "step_octets", "step_id");
    }

    void freeze(UUID step, byte[] octets) {
        parts.store(step, Octets.of(octets));
    }

    boolean has(UUID step) {
        return parts.has(step);
    }

    Octets of(UUID step) {
        return parts.of(step);
    }
}
