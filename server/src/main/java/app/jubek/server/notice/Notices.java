package app.jubek.server.notice;

import app.jubek.core.step.Sound;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.time.Clock;
import java.time.Instant;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people are told about in the browser. */
@Service
public class Notices {
    private final NoticeRepository notices;
    private final Signals signals;
    private final Clock clock;

    Notices(NoticeRepository notices, Signals signals, Clock clock) {
        this.notices = notices;
        this.signals = signals;
        this.clock = clock;
    }

    /**
     * @param id grows with every notice
     * @param sound one of those that ship with Jubek
     */
    public record Notice(long id, long message, String rule, String sound, Instant at) {}

    @Transactional
    public void show(UUID mailbox, long message, String ruleName, Sound sound) {
        notices.save(
                new NoticeEntity(mailbox, message, ruleName, sound.name().toLowerCase(Locale.ROOT), clock.instant()));
        signals.sendSoon(new Signal(Signal.Topic.NOTICES, mailbox));
    }

    /** The latest after one of them, oldest first. */
    @Transactional(readOnly = true)
    public List<Notice> after(UUID mailbox, long after, int limit) {
        List<Notice> latest = notices.newestAfter(mailbox, after, Limit.of(limit)).stream()
                .map(NoticeEntity::notice)
                .collect(Collectors.toList());
        Collections.reverse(latest);
        return List.copyOf(latest);
    }

    /** The id of the last one; 0 where there was none. */
    @Transactional(readOnly = true)
    public long last(UUID mailbox) {
        return notices.last(mailbox);
    }
}
