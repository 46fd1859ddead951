package app.jubek.server.aliastest;

import app.jubek.core.wording.Statement;
import app.jubek.formats.statement.StatementJson;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "alias_test")
class AliasTestEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private String address;
    private String messageId;
    private Instant sentAt;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String fault;

    private @Nullable Instant arrivedAt;

    protected AliasTestEntity() {}

    AliasTestEntity(UUID id, UUID mailboxId, String address, String messageId, Instant sentAt) {
        this.id = id;
        this.mailboxId = mailboxId;
        this.address = address;
        this.messageId = messageId;
        this.sentAt = sentAt;
    }

    AliasTests.AliasTest test() {
        return new AliasTests.AliasTest(
                id,
                address,
                sentAt,
                Optional.ofNullable(fault).map(StatementJson::read),
                Optional.ofNullable(arrivedAt));
    }

    static String stored(Statement fault) {
        return StatementJson.write(fault).toString();
    }
}
