package app.jubek.server.folders;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.StepNote;
import app.jubek.core.plan.Trouble;
import app.jubek.core.step.TargetFolder;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.ServerTrouble;
import app.jubek.server.mailbox.WholeMessage;
import app.jubek.server.platform.JubekProperties;
import jakarta.mail.MessagingException;
import java.util.ArrayList;
import java.util.List;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.springframework.stereotype.Component;

/**
 * Copies and files into another own mailbox: fetched here, copied there, found there again byte for byte, and only then
 * removed here. One mailbox is worked on after the other, so that two that file into each other never wait for each other.
 */
@Component
public class CrossMailboxMove {
    private final ImapSteps here;
    private final StoredMail mail;
    private final Mailboxes mailboxes;
    private final long largest;

    CrossMailboxMove(ImapSteps here, StoredMail mail, Mailboxes mailboxes, JubekProperties properties) {
        this.here = here;
        this.mail = mail;
        this.mailboxes = mailboxes;
        this.largest = properties.largestMessage().toBytes();
    }

    public void copy(Mailbox from, long message, TargetFolder into) throws MessagingException {
        put(other(into), into.folder(), fetched(from, message));
    }

    /**
     * Where somebody else has moved it meanwhile, it is left to them.
     *
     * @param repeated an earlier attempt may have got through
     */
    public void file(Mailbox from, long message, TargetFolder into, boolean repeated) throws MessagingException {
        Mailbox other = other(into);
        if (repeated && isThere(other, into.folder(), mail.find(message))) {
            here.removeInPlace(from, message);
            return;
        }
        here.connected(from, ImapSteps::removesSingly);
        here.staysInPlace(from, message);
        put(other, into.folder(), fetched(from, message));
        here.removeInPlace(from, message);
    }

    private Mailbox other(TargetFolder into) throws MessagingException {
        return mailboxes
                .writingAs(into.mailbox().orElseThrow())
                .orElseThrow(() -> ImapRefused.forGood(
                        Failure.NO_SUCH_MAILBOX.with(
                                into.mailbox().orElseThrow().address()),
                        Advice.CHOOSE_OTHER_MAILBOX));
    }

    private WholeMessage fetched(Mailbox from, long message) throws MessagingException {
        StoredMail.Stored stored = mail.find(message);
        if (stored.size() > largest) {
            throw ImapRefused.forGood(Failure.TOO_LARGE_FOR_OTHER_MAILBOX.with(largest >> 20), Advice.MOVE_BY_HAND);
        }
        List<WholeMessage> found = new ArrayList<>();
        here.connected(from, store -> {
            Fetched.Place place = here.whereabouts(store, message);
            try (OpenFolder open = OpenFolder.of(store, place.folder())) {
                WholeMessage.of(open.commands(), place.uid(), stored.messageId())
                        .ifPresent(found::add);
            }
        });
        return found.stream().findFirst().orElseThrow(() -> new ImapSteps.Needless(StepNote.DELETED_MEANWHILE.with()));
    }

    /** Reports errors of the target mailbox against its own server. */
    private void there(Mailbox other, ImapConnections.Work work) throws MessagingException {
        try {
            here.connected(other, work);
        } catch (ImapRefused refused) {
            throw refused;
        } catch (MessagingException broken) {
            throw ImapRefused.forNow(ServerTrouble.of(broken, other.imap()));
        }
    }

    private void put(Mailbox other, String folder, WholeMessage message) throws MessagingException {
        there(other, store -> {
            String target = FolderName.named(store, folder);
            ImapSteps.made(store, target);
            if (holds(store, target, message)) {
                return;
            }
            try (OpenFolder open = OpenFolder.of(store, target)) {
                message.appendTo(open.folder());
            }
            if (!holds(store, target, message)) {
                throw ImapRefused.forNow(Trouble.of(Failure.NOT_FOUND_AFTER_COPY.with(target)));
            }
        });
    }

    private static boolean holds(IMAPStore store, String target, WholeMessage message) throws MessagingException {
        try (OpenFolder open = OpenFolder.of(store, target)) {
            return message.isIn(open.commands());
        }
    }

    private boolean isThere(Mailbox other, String folder, StoredMail.Stored stored) throws MessagingException {
        List<Fetched.Place> found = new ArrayList<>();
        there(
                other,
                store -> new Search(store, stored)
                        .in(FolderName.named(store, folder))
                        .ifPresent(found::add));
        return !found.isEmpty();
    }
}
