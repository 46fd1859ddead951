package app.jubek.server.intake;

import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import app.jubek.server.watching.Arrivals;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Where messages lie, as far as we know, and which are in no folder any more. */
@Component
public class Whereabouts {
    private final MessageRepository messages;
    private final Mailboxes mailboxes;
    private final Signals signals;
    private final Clock clock;

    Whereabouts(MessageRepository messages, Mailboxes mailboxes, Signals signals, Clock clock) {
        this.messages = messages;
        this.mailboxes = mailboxes;
        this.signals = signals;
        this.clock = clock;
    }

    public List<String> folders(UUID mailbox) {
        return messages.folders(mailbox);
    }

    List<Arrivals.Missing> missing(UUID mailbox, Arrivals.Listing listing) {
        return messages.located(mailbox, listing.folder(), listing.next()).stream()
                .filter(row -> !row.liesIn(listing))
                .map(row -> new Arrivals.Missing(row.id(), Optional.ofNullable(row.messageId()), row.size()))
                .toList();
    }

    record Located(long id, @Nullable String messageId, long size, long uidValidity, long uid) {
        boolean liesIn(Arrivals.Listing listing) {
            return uidValidity == listing.uidValidity() && listing.uids().contains(uid);
        }
    }

    @Transactional
    public void moved(long message, Fetched.Place place) {
        messages.locate(message, place.folder(), place.uidValidity(), place.uid());
        messages.mailbox(message).ifPresent(mailbox -> signals.sendSoon(new Signal(Signal.Topic.MESSAGES, mailbox)));
    }

    /** Past mail goes altogether; of what was decided the record stays. */
    @Transactional
    public void gone(UUID mailbox, List<Long> ids) {
        if (ids.isEmpty()) {
            return;
        }
        messages.forgetPast(mailbox, ids);
        messages.markGone(mailbox, ids, clock.instant());
        mailboxes.evidenceChanged(mailbox);
    }
}
