package app.jubek.server.drift;

import app.jubek.core.drift.Drifts;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Border;
import app.jubek.server.progress.FolderCursors;
import app.jubek.server.recurring.FoundKinds;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Looks for changes in the mail of rules, of each mailbox once a week. */
@Component
public class DriftLooks {
    private static final Logger LOG = LoggerFactory.getLogger(DriftLooks.class);
    private static final Duration EVERY = Duration.ofDays(7);
    private static final Duration AGAIN = Duration.ofHours(1);
    private static final Duration LATE = Duration.ofDays(28);
    private static final int DAYS = 180;
    private static final String INBOX = "INBOX";

    private final Mailboxes mailboxes;
    private final FolderCursors cursors;
    private final DriftLookRepository looks;
    private final PastMail pastMail;
    private final FoundKinds kinds;
    private final KeptDrifts kept;
    private final Clock clock;

    DriftLooks(
            Mailboxes mailboxes,
            FolderCursors cursors,
            DriftLookRepository looks,
            PastMail pastMail,
            FoundKinds kinds,
            KeptDrifts kept,
            Clock clock) {
        this.mailboxes = mailboxes;
        this.cursors = cursors;
        this.looks = looks;
        this.pastMail = pastMail;
        this.kinds = kinds;
        this.kept = kept;
        this.clock = clock;
    }

    @Scheduled(fixedDelay = 20, initialDelay = 20, timeUnit = TimeUnit.SECONDS)
    void lookWhereDue() {
        for (Mailbox mailbox : mailboxes.all()) {
            Border.around(() -> lookIfDue(mailbox.id()))
                    .ifPresent(failure ->
                            LOG.warn("whether a mailbox is to be looked through for drift: {}", failure.trace()));
        }
    }

    /** What is still being read would look like a change. */
    private void lookIfDue(UUID mailbox) {
        boolean read = cursors.reading(mailbox, INBOX)
                .filter(FolderCursors.Reading::finished)
                .isPresent();
        Instant now = clock.instant();
        if (read && looks.claim(mailbox, now, now.minus(EVERY)) > 0) {
            Border.around(() -> look(mailbox)).ifPresent(failure -> {
                LOG.warn("a mailbox was not looked through for drift, and is in an hour: {}", failure.trace());
                looks.putOff(mailbox, now.minus(EVERY).plus(AGAIN));
            });
        }
    }

    /** Compares the last four weeks with what came before, within half a year. */
    public void look(UUID mailbox) {
        PastMail.Window window = pastMail.window(mailbox, DAYS);
        Instant since = window.now().minus(LATE);
        kept.keep(
                window,
                Drifts.of(
                        window.book(),
                        window.past(),
                        since,
                        kinds.in(window),
                        window.mailbox().own(),
                        window.mailbox().opening()),
                since);
    }
}
