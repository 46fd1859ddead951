package app.jubek.server.setting;

import app.jubek.core.wording.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Notes what people change of a mailbox. */
@Service
@Transactional
public class SettingChanges {
    /** Of more in the time of one page nobody reads all. */
    private static final Limit MOST = Limit.of(500);

    private final SettingChangeRepository changes;
    private final Clock clock;

    SettingChanges(SettingChangeRepository changes, Clock clock) {
        this.changes = changes;
        this.clock = clock;
    }

    /**
     * @param who the name of the person
     */
    public record Changed(Instant at, String who, Statement what) {}

    public void note(UUID mailbox, String who, Statement what) {
        changes.save(new SettingChangeEntity(mailbox, clock.instant(), who, what));
    }

    /** The newest first. */
    @Transactional(readOnly = true)
    public List<Changed> between(UUID mailbox, Instant from, Instant until) {
        return changes.between(mailbox, from, until, MOST).stream()
                .map(SettingChangeEntity::changed)
                .toList();
    }
}
