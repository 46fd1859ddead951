package app.jubek.server.intake;

import app.jubek.core.message.Octets;
import app.jubek.server.platform.OctetParts;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The octets of messages as they came. */
@Component
class StoredOctets {
    private final OctetParts parts;

    StoredOctets(JdbcClient jdbc) {
        parts = new OctetParts(jdbc, "message_octets", "message_id");
    }

    void store(long message, Octets octets) {
        parts.store(message, octets);
    }

    Octets of(long message) {
        return parts.of(message);
    }

    boolean has(long message) {
        return parts.has(message);
    }
}
