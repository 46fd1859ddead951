package app.jubek.server.folders;

import app.jubek.core.plan.UndoObstacle;
import app.jubek.core.step.Step;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailbox;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.springframework.stereotype.Component;

/**
 * Changes back what steps did in a mailbox, and that alone: what somebody moved, deleted or marked since is left to them.
 * Each looks first whether it was done before.
 */
@Component
public class ImapUndo {
    private final ImapConnections connections;
    private final ImapSteps steps;
    private final StoredMail mail;

    ImapUndo(ImapConnections connections, ImapSteps steps, StoredMail mail) {
        this.connections = connections;
        this.steps = steps;
        this.mail = mail;
    }

    /**
     * Moves a message back.
     *
     * @param to where it lay
     * @param from where the step has put it
     * @param repeated an earlier attempt may have got through
     * @throws ImapSteps.Needless where it lies there no more
     */
    public void move(Mailbox mailbox, long message, Fetched.Place to, Fetched.Place from, boolean repeated)
            throws MessagingException {
        steps.connected(mailbox, store -> {
            StoredMail.Stored stored = mail.find(message);
            if (holds(store, from)) {
                StoredMail.Stored there =
                        new StoredMail.Stored(stored.id(), from, stored.messageId(), stored.size(), stored.digest());
                steps.move(store, there, to.folder(), repeated);
            } else {
                mail.moved(message, backBefore(store, stored, to, repeated));
            }
        });
    }

    private static Fetched.Place backBefore(
            IMAPStore store, StoredMail.Stored stored, Fetched.Place to, boolean repeated) throws MessagingException {
        Optional<Fetched.Place> back = repeated ? new Search(store, stored).in(to.folder()) : Optional.empty();
        return back.orElseThrow(ImapUndo::changedSince);
    }

    private static ImapSteps.Needless changedSince() {
        return new ImapSteps.Needless(UndoObstacle.MOVED_OR_DELETED_SINCE.with());
    }

    /**
     * Removes the copy that a step made; only where the mail server can remove a single message.
     *
     * @throws ImapSteps.Needless where it lies there no more
     */
    public void copy(Mailbox mailbox, Fetched.Place copy, boolean repeated) throws MessagingException {
        steps.connected(mailbox, store -> {
            ImapSteps.removesSingly(store);
            if (holds(store, copy)) {
                try (OpenFolder open = OpenFolder.of(store, copy.folder())) {
                    open.commands().remove(copy.uid());
                }
            } else if (!repeated) {
                throw changedSince();
            }
        });
    }

    /**
     * Sets marks as they were, as far as the step changed them.
     *
     * @param before all marks that the message had
     */
    public void mark(Mailbox mailbox, long message, Step.Mark done, Set<String> before) throws MessagingException {
        Set<String> had = before.stream().map(ImapUndo::folded).collect(Collectors.toSet());
        steps.connected(mailbox, store -> {
            Fetched.Place place = steps.whereabouts(store, message);
            try (OpenFolder open = OpenFolder.of(store, place.folder())) {
                for (String added : done.add()) {
                    if (!had.contains(folded(added))) {
                        open.commands().flag(place.uid(), added, false);
                    }
                }
                for (String removed : done.remove()) {
                    if (had.contains(folded(removed))) {
                        open.commands().flag(place.uid(), removed, true);
                    }
                }
            }
        });
    }

    /** Letter case makes no difference (RFC 9051 §2.3.2). */
    private static String folded(String mark) {
        return mark.toLowerCase(Locale.ROOT);
    }

    /** Back to junk, with the keywords that it had there. */
    public void outOfJunk(Mailbox mailbox, long message, StepTrace.Before before, Fetched.Place now, boolean repeated)
            throws MessagingException {
        if (!before.place().folder().equals(now.folder())) {
            move(mailbox, message, before.place(), now, repeated);
        }
        mark(
                mailbox,
                message,
                new Step.Mark(List.of(ImapSteps.IS_NO_JUNK), List.of(ImapSteps.IS_JUNK)),
                before.flags());
    }

    /** Which of some places still hold what they held; each folder is asked once. */
    public Set<Fetched.Place> holding(Mailbox mailbox, Collection<Fetched.Place> places) throws MessagingException {
        Map<String, List<Fetched.Place>> byFolder = new HashMap<>();
        places.forEach(place -> byFolder.computeIfAbsent(place.folder(), folder -> new ArrayList<>())
                .add(place));
        Set<Fetched.Place> held = new HashSet<>();
        connections.with(mailbox, store -> {
            for (Map.Entry<String, List<Fetched.Place>> each : byFolder.entrySet()) {
                held.addAll(heldIn(store, each.getKey(), each.getValue()));
            }
        });
        return held;
    }

    private static List<Fetched.Place> heldIn(IMAPStore store, String name, List<Fetched.Place> places)
            throws MessagingException {
        Folder folder = store.getFolder(name);
        if (!folder.exists()) {
            return List.of();
        }
        try (OpenFolder open = OpenFolder.of(store, name)) {
            Set<Long> uids = open.commands().all();
            long validity = open.folder().getUIDValidity();
            return places.stream()
                    .filter(place -> place.uidValidity() == validity && uids.contains(place.uid()))
                    .toList();
        }
    }

    private static boolean holds(IMAPStore store, Fetched.Place place) throws MessagingException {
        if (!store.getFolder(place.folder()).exists()) {
            return false;
        }
        try (OpenFolder open = OpenFolder.of(store, place.folder())) {
            return open.holds(place);
        }
    }
}
