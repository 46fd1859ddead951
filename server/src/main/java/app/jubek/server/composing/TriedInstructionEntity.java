package app.jubek.server.composing;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** An instruction, with the reply that it goes with, was tried on past messages. */
@Entity
@Table(name = "tried_instruction")
class TriedInstructionEntity {
    @EmbeddedId
    private Key key;

    protected TriedInstructionEntity() {}

    /**
     * @param fingerprint of the instruction and the reply
     */
    @Embeddable
    record Key(UUID mailboxId, String fingerprint) {}
}
