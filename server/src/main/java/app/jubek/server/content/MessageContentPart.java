package app.jubek.server.content;

import jakarta.persistence.Column;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;

@Entity
@Table(name = "message_content")
class MessageContentPart extends ContentPart {
    @EmbeddedId
    private Key key;

    record Key(@Column(name = "message_id") long owner, int part) implements Serializable {}
}
