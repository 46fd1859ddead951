package app.jubek.server.hours;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A calendar of closed days: what was taken in, or last read from its file. */
@Entity
@Table(name = "closed_calendar")
class ClosedCalendarEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private String name;
    private @Nullable String file;
    private String content;
    private Instant readAt;
    private @Nullable String fault;

    protected ClosedCalendarEntity() {}

    ClosedCalendarEntity(UUID mailboxId, String name, Optional<String> file, String content, Instant readAt) {
        this.id = UUID.randomUUID();
        this.mailboxId = mailboxId;
        this.name = name;
        this.file = file.orElse(null);
        this.content = content;
        this.readAt = readAt;
    }

    UUID id() {
        return id;
    }

    UUID mailbox() {
        return mailboxId;
    }

    String name() {
        return name;
    }

    Optional<String> file() {
        return Optional.ofNullable(file);
    }

    String content() {
        return content;
    }

    Instant readAt() {
        return readAt;
    }

    /** Why its file could not be read the last time; what was read before stays. */
    Optional<String> fault() {
        return Optional.ofNullable(fault);
    }

    void readAgain(String next, Instant at) {
        content = next;
        readAt = at;
        fault = null;
    }

    void notRead(String why) {
        fault = why;
    }
}
