package app.jubek.server.folders;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.StepNote;
import app.jubek.core.step.Flag;
import app.jubek.core.step.Step;
import app.jubek.core.step.TargetFolder;
import app.jubek.core.wording.Statement;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.SpecialUse;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.springframework.stereotype.Component;

/** Steps inside the mailbox. Each looks first whether it was done before, so that repeating it does no harm. */
@Component
public class ImapSteps {
    /** Keywords of RFC 9051 §2.3.2. */
    static final String IS_JUNK = "$Junk";

    static final String IS_NO_JUNK = "$NotJunk";

    private static final String INBOX = "INBOX";

    private final ImapConnections connections;
    private final StoredMail mail;

    ImapSteps(ImapConnections connections, StoredMail mail) {
        this.connections = connections;
        this.mail = mail;
    }

    /** There is nothing left to do: somebody moved or deleted the message meanwhile. */
    public static final class Needless extends MessagingException {
        private static final long serialVersionUID = 1L;

        private final transient Statement why;

        public Needless(Statement why) {
            super(why.code());
            this.why = why;
        }

        public Statement why() {
            return why;
        }
    }

    public void mark(Mailbox mailbox, long message, Step.Mark mark, StepTrace trace) throws MessagingException {
        connected(mailbox, store -> {
            Fetched.Place place = whereabouts(store, message);
            try (OpenFolder open = OpenFolder.of(store, place.folder())) {
                trace.before(new StepTrace.Before(place, open.commands().flags(place.uid()), Set.of()));
                for (String flag : mark.add()) {
                    open.commands().flag(place.uid(), flag, true);
                }
                for (String flag : mark.remove()) {
                    open.commands().flag(place.uid(), flag, false);
                }
            }
        });
    }

    /**
     * Copies a message to a folder, unless an earlier attempt has left a copy there.
     */
    public void copy(Mailbox mailbox, long message, TargetFolder into, StepTrace trace) throws MessagingException {
        connected(mailbox, store -> {
            String target = FolderName.named(store, into.folder());
            made(store, target);
            Search search = new Search(store, mail.find(message));
            Fetched.Place place = whereabouts(store, message);
            Set<Long> alike = search.alike(target);
            Set<Long> before =
                    trace.before(new StepTrace.Before(place, Set.of(), alike)).alike();
            Set<Long> made = new TreeSet<>(alike);
            made.removeAll(before);
            Optional<Fetched.Place> copy = made.isEmpty() ? copied(store, place, target) : Optional.empty();
            (copy.isPresent() ? copy : search.in(target)).ifPresent(trace::after);
        });
    }

    private static Optional<Fetched.Place> copied(IMAPStore store, Fetched.Place from, String target)
            throws MessagingException {
        try (OpenFolder open = OpenFolder.of(store, from.folder())) {
            return open.commands().copy(from.uid(), target);
        }
    }

    /**
     * Moves a message to a folder. Where somebody else has moved it meanwhile, it is left to them.
     *
     * @param repeated an earlier attempt may have got halfway
     */
    public void file(Mailbox mailbox, long message, TargetFolder into, boolean repeated, StepTrace trace)
            throws MessagingException {
        connected(mailbox, store -> moveTo(store, message, FolderName.named(store, into.folder()), repeated, trace));
    }

    /** The same to the folder that the server keeps for a use. */
    public void file(Mailbox mailbox, long message, SpecialUse into, boolean repeated, StepTrace trace)
            throws MessagingException {
        connected(mailbox, store -> moveTo(store, message, FolderName.forUse(store, into), repeated, trace));
    }

    /**
     * For good; only where the mail server can remove a single message.
     *
     * @param repeated an earlier attempt may have got through; then a copy that lies elsewhere is not taken for it
     */
    public void delete(Mailbox mailbox, long message, boolean repeated) throws MessagingException {
        if (!repeated) {
            connected(mailbox, store -> whereabouts(store, message));
        }
        removeInPlace(mailbox, message);
    }

    /** Removes it from where it lies, as far as we know; nothing when it lies elsewhere by now. */
    void removeInPlace(Mailbox mailbox, long message) throws MessagingException {
        connected(mailbox, store -> {
            removesSingly(store);
            StoredMail.Stored stored = mail.find(message);
            if (isInPlace(store, stored)) {
                try (OpenFolder open = OpenFolder.of(store, stored.place().folder())) {
                    open.commands().remove(stored.place().uid());
                }
            }
        });
    }

    /**
     * @throws Needless where somebody else has moved or deleted the message meanwhile
     */
    void staysInPlace(Mailbox mailbox, long message) throws MessagingException {
        connected(mailbox, store -> {
            if (!isInPlace(store, mail.find(message))) {
                throw new Needless(StepNote.MOVED_OR_DELETED_MEANWHILE.with());
            }
        });
    }

    /** Refuses where the mail server can't remove a single message (RFC 4315). */
    static void removesSingly(IMAPStore store) throws MessagingException {
        if (!store.hasCapability("UIDPLUS")) {
            throw ImapRefused.forGood(Failure.NO_SINGLE_REMOVAL.with(), Advice.TRASH_INSTEAD);
        }
    }

    public void outOfJunk(Mailbox mailbox, long message, boolean repeated, StepTrace trace) throws MessagingException {
        connected(mailbox, store -> {
            Fetched.Place lay = whereabouts(store, message);
            try (OpenFolder open = OpenFolder.of(store, lay.folder())) {
                trace.before(new StepTrace.Before(lay, open.commands().flags(lay.uid()), Set.of()));
            }
            if (!lay.isInbox()) {
                move(store, mail.find(message), INBOX, repeated);
            }
            Fetched.Place now = whereabouts(store, message);
            try (OpenFolder open = OpenFolder.of(store, now.folder())) {
                open.commands().flag(now.uid(), IS_JUNK, false);
                open.commands().flag(now.uid(), IS_NO_JUNK, true);
            }
            trace.after(now);
        });
    }

    private void moveTo(IMAPStore store, long message, String target, boolean repeated, StepTrace trace)
            throws MessagingException {
        StoredMail.Stored stored = mail.find(message);
        if (isInPlace(store, stored)) {
            trace.before(new StepTrace.Before(stored.place(), Set.of(), Set.of()));
            trace.after(move(store, stored, target, repeated));
        } else {
            trace.after(foundIn(store, stored, target));
        }
    }

    private Fetched.Place foundIn(IMAPStore store, StoredMail.Stored stored, String target) throws MessagingException {
        Search search = new Search(store, stored);
        Optional<Fetched.Place> there = search.in(target);
        if (there.isPresent()) {
            mail.moved(stored.id(), there.get());
            return there.get();
        }
        Fetched.Place elsewhere =
                search.everywhere().orElseThrow(() -> new Needless(StepNote.DELETED_MEANWHILE.with()));
        mail.moved(stored.id(), elsewhere);
        throw new Needless(StepNote.MOVED_MEANWHILE_TO.with(elsewhere.folder()));
    }

    /** After a hand-over that failed for good: back in sight, unread and flagged. */
    public void bringBack(Mailbox mailbox, long message, boolean repeated) throws MessagingException {
        connected(mailbox, store -> {
            Fetched.Place place = whereabouts(store, message);
            if (!place.folder().equals(INBOX)) {
                move(store, mail.find(message), INBOX, repeated);
            }
            Fetched.Place now = whereabouts(store, message);
            try (OpenFolder open = OpenFolder.of(store, now.folder())) {
                open.commands().flag(now.uid(), Flag.SEEN.imap(), false);
                open.commands().flag(now.uid(), Flag.FLAGGED.imap(), true);
            }
        });
    }

    /**
     * As nobody is known to have dealt with it.
     *
     * @throws Needless where its mark says that it was answered
     */
    public void bringBackUnanswered(Mailbox mailbox, long message, boolean repeated) throws MessagingException {
        connected(mailbox, store -> {
            Fetched.Place place = whereabouts(store, message);
            try (OpenFolder open = OpenFolder.of(store, place.folder())) {
                if (open.commands().isAnswered(place.uid())) {
                    throw new Needless(StepNote.DEALT_WITH_FROM_HERE.with());
                }
            }
        });
        bringBack(mailbox, message, repeated);
    }

    void connected(Mailbox mailbox, ImapConnections.Work work) throws MessagingException {
        try {
            connections.with(mailbox, work);
        } catch (Needless needless) {
            throw needless;
        } catch (MessagingException broken) {
            throw ImapRefused.of(broken);
        }
    }

    private static boolean isInPlace(IMAPStore store, StoredMail.Stored stored) throws MessagingException {
        if (!store.getFolder(stored.place().folder()).exists()) {
            return false;
        }
        try (OpenFolder open = OpenFolder.of(store, stored.place().folder())) {
            return open.holds(stored.place());
        }
    }

    /** Where the message lies now; noted when it is not where we believed it. */
    Fetched.Place whereabouts(IMAPStore store, long message) throws MessagingException {
        StoredMail.Stored stored = mail.find(message);
        if (isInPlace(store, stored)) {
            return stored.place();
        }
        Fetched.Place elsewhere = new Search(store, stored)
                .everywhere()
                .orElseThrow(() -> new Needless(StepNote.DELETED_MEANWHILE.with()));
        mail.moved(message, elsewhere);
        return elsewhere;
    }

    /**
     * Where it lies then. One that lies there already, as an attempt may have broken off once that was noted, stays: what is
     * found there like it is itself.
     */
    Fetched.Place move(IMAPStore store, StoredMail.Stored stored, String target, boolean repeated)
            throws MessagingException {
        if (stored.place().folder().equals(target)) {
            return stored.place();
        }
        made(store, target);
        Optional<Fetched.Place> copied = repeated ? new Search(store, stored).in(target) : Optional.empty();
        Optional<Fetched.Place> place = moved(store, stored, target, copied);
        if (place.isEmpty()) {
            place = new Search(store, stored).in(target);
        }
        Fetched.Place there = place.orElseThrow(() -> new Needless(StepNote.MOVED_PLACE_UNKNOWN.with()));
        mail.moved(stored.id(), there);
        return there;
    }

    static void made(IMAPStore store, String target) throws MessagingException {
        Folder into = store.getFolder(target);
        if (!into.exists() && !into.create(Folder.HOLDS_MESSAGES)) {
            throw ImapRefused.forGood(Failure.FOLDER_NOT_CREATED.with(target), Advice.CREATE_FOLDER);
        }
    }

    private static Optional<Fetched.Place> moved(
            IMAPStore store, StoredMail.Stored stored, String target, Optional<Fetched.Place> copied)
            throws MessagingException {
        boolean move = store.hasCapability("MOVE");
        boolean single = store.hasCapability("UIDPLUS");
        if (!move && !single) {
            throw ImapRefused.forGood(Failure.NEITHER_MOVE_NOR_REMOVAL.with(), Advice.MARK_INSTEAD);
        }
        try (OpenFolder open = OpenFolder.of(store, stored.place().folder())) {
            long uid = stored.place().uid();
            if (copied.isPresent() && single) {
                open.commands().remove(uid);
                return copied;
            }
            return move ? open.commands().move(uid, target) : open.commands().copyAndRemove(uid, target);
        }
    }
}
