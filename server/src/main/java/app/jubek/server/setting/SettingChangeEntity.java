package app.jubek.server.setting;

import app.jubek.core.wording.Statement;
import app.jubek.formats.statement.StatementJson;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A setting that somebody changed; never changed itself. */
@Entity
@Table(name = "setting_change")
class SettingChangeEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private Instant at;
    private String who;

    @JdbcTypeCode(SqlTypes.JSON)
    private String what;

    protected SettingChangeEntity() {}

    SettingChangeEntity(UUID mailboxId, Instant at, String who, Statement what) {
        this.id = UUID.randomUUID();
        this.mailboxId = mailboxId;
        this.at = at;
        this.who = who;
        this.what = StatementJson.write(what).toString();
    }

    SettingChanges.Changed changed() {
        return new SettingChanges.Changed(at, who, StatementJson.read(what));
    }
}
