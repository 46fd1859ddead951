package app.jubek.server.content;

import jakarta.persistence.Column;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;

@Entity
@Table(name = "trial_content")
class TrialContentPart extends ContentPart {
    @EmbeddedId
    private Key key;

    record Key(@Column(name = "trial_id") UUID owner, int part) implements Serializable {}
}
