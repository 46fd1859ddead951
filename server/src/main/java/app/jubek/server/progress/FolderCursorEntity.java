package app.jubek.server.progress;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "folder_cursor")
class FolderCursorEntity {
    @EmbeddedId
    private Key key;

    private long uidValidity;
    private long uid;
    private long baseline;
    private long readBelow;
    private int readingTotal;
    private int readingDone;
    private boolean readingPaused;
    private Instant actsFrom;

    @Embeddable
    record Key(UUID mailboxId, String folder) implements Serializable {}
}
