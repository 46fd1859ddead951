package app.jubek.server.content;

import jakarta.persistence.Column;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;

@Entity
@Table(name = "document_content")
class DocumentContentPart extends ContentPart {
    @EmbeddedId
    private Key key;

    record Key(@Column(name = "document_id") UUID owner, int part) implements Serializable {}
}
