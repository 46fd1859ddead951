package app.jubek.server.stop;

import app.jubek.core.rule.SettingChange;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.setting.SettingChanges;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Stops what leaves mailboxes, and lets it go on. */
@Service
public class Stops {
    private static final Logger LOG = LoggerFactory.getLogger(Stops.class);

    private final StopRepository stops;
    private final Mailboxes mailboxes;
    private final SettingChanges changes;
    private final Signals signals;
    private final Clock clock;

    Stops(StopRepository stops, Mailboxes mailboxes, SettingChanges changes, Signals signals, Clock clock) {
        this.stops = stops;
        this.mailboxes = mailboxes;
        this.changes = changes;
        this.signals = signals;
        this.clock = clock;
    }

    /**
     * @param who the name of the person who stopped it
     */
    public record Stop(Instant since, String who) {}

    @Transactional(readOnly = true)
    public Optional<Stop> of(UUID mailbox) {
        return stops.findById(mailbox).map(StopEntity::stop);
    }

    /**
     * From now on nothing begins to leave. A step looks for a stop under its mailbox's lock before it leaves, so when this
     * returns only what is already being handed to the mail server goes out.
     */
    @Transactional
    public void stop(List<UUID> all, String who) {
        all.stream().sorted().forEach(mailbox -> {
            mailboxes.lock(mailbox);
            if (stops.stop(mailbox, clock.instant(), who) > 0) {
                changes.note(mailbox, who, SettingChange.MAIL_STOPPED.with());
            }
            LOG.warn("nothing leaves mailbox {} any more", mailbox);
            tell(mailbox);
        });
    }

    /** What waited is judged again, and leaves. */
    @Transactional
    public void release(UUID mailbox, String who) {
        if (stops.release(mailbox) > 0) {
            changes.note(mailbox, who, SettingChange.MAIL_LEAVES_AGAIN.with());
            LOG.warn("mail leaves mailbox {} again", mailbox);
            tell(mailbox);
        }
    }

    private void tell(UUID mailbox) {
        signals.sendSoon(new Signal(Signal.Topic.MAILBOX, mailbox));
        signals.sendSoon(new Signal(Signal.Topic.WORK, mailbox));
    }
}
