package app.jubek.server.intake;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;

@Entity
@Table(name = "message_octets")
class OctetsEntity {
    @Id
    private long messageId;

    private LocalDate storedOn;
    private byte[] octets;

    protected OctetsEntity() {}

    OctetsEntity(long messageId, LocalDate storedOn, byte[] octets) {
        this.messageId = messageId;
        this.storedOn = storedOn;
        this.octets = octets;
    }

    byte[] octets() {
        return octets;
    }
}
