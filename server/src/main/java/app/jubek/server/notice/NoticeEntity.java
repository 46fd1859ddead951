package app.jubek.server.notice;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "notice")
class NoticeEntity {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private UUID mailboxId;
    private long messageId;
    private String ruleName;
    private String sound;
    private Instant at;

    protected NoticeEntity() {}

    NoticeEntity(UUID mailboxId, long messageId, String ruleName, String sound, Instant at) {
        this.mailboxId = mailboxId;
        this.messageId = messageId;
        this.ruleName = ruleName;
        this.sound = sound;
        this.at = at;
    }

    Notices.Notice notice() {
        return new Notices.Notice(id, messageId, ruleName, sound, at);
    }
}
