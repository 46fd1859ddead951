package app.jubek.server.progress;

import app.jubek.server.mailbox.Fetched;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How far each folder has been taken in, and how far back its past mail has been read. */
@Component
public class FolderCursors {
    private final FolderCursorRepository cursors;
    private final Signals signals;

    FolderCursors(FolderCursorRepository cursors, Signals signals) {
        this.cursors = cursors;
        this.signals = signals;
    }

    /**
     * @param uid the last UID taken in
     * @param baseline the last UID that was there when the mailbox was connected
     * @param readBelow past mail at and above this UID has been read; 0 when all has
     */
    public record Cursor(long uidValidity, long uid, long baseline, long readBelow) {}

    /**
     * Where a folder is taken up.
     *
     * @param baseline everything up to this UID is past mail
     * @param actsFrom what came in before is past mail too, whatever its UID
     */
    public record Start(long uidValidity, long baseline, Instant actsFrom) {}

    /** Progress of the first reading. */
    public record Reading(int total, int done, boolean finished, boolean paused) {}

    @Transactional(readOnly = true)
    public Optional<Cursor> find(UUID mailbox, String folder) {
        return cursors.find(mailbox, folder);
    }

    @Transactional
    public void begin(UUID mailbox, String folder, Start start) {
        cursors.begin(mailbox, folder, start.uidValidity(), start.baseline(), start.actsFrom());
    }

    /** Whether a message is past mail though it stands above the baseline. */
    @Transactional(readOnly = true)
    public boolean isPast(UUID mailbox, Fetched message) {
        return cursors.actsFrom(mailbox, message.place().folder())
                .filter(from -> from.isAfter(message.received()))
                .isPresent();
    }

    /**
     * Moves past one message, inside the transaction that took it in.
     *
     * @return false when another node has the lease by now, or the cursor is past it already
     */
    @Transactional
    public boolean advance(Lease lease, Fetched.Place place) {
        return cursors.advance(
                        lease.mailbox(),
                        place.folder(),
                        place.uidValidity(),
                        place.uid(),
                        lease.holder(),
                        lease.fencingToken())
                == 1;
    }

    @Transactional
    public void readingBegins(UUID mailbox, String folder, int total) {
        cursors.readingBegins(mailbox, folder, total);
    }

    @Transactional
    public void readDownTo(UUID mailbox, String folder, long uid, int count) {
        cursors.readDownTo(mailbox, folder, uid, count);
        signals.sendSoon(new Signal(Signal.Topic.MAILBOX, mailbox));
        signals.sendSoon(new Signal(Signal.Topic.MESSAGES, mailbox));
    }

    @Transactional(readOnly = true)
    public Optional<Reading> reading(UUID mailbox, String folder) {
        return cursors.reading(mailbox, folder);
    }

    /** Whether the first reading goes on. */
    @Transactional
    public void pauseReading(UUID mailbox, String folder, boolean paused) {
        cursors.pauseReading(mailbox, folder, paused);
        signals.sendSoon(new Signal(Signal.Topic.MAILBOX, mailbox));
    }
}
