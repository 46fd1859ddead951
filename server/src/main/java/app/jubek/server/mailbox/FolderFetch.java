package app.jubek.server.mailbox;

import jakarta.mail.FetchProfile;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.UIDFolder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.eclipse.angus.mail.imap.IMAPFolder;

/** Octets out of an open folder, nothing marked. */
final class FolderFetch {
    private final IMAPFolder folder;

    FolderFetch(IMAPFolder folder) {
        this.folder = folder;
    }

    /** UIDs above one, in order. */
    List<Long> uidsAbove(long uid) throws MessagingException {
        Message[] messages = folder.getMessagesByUID(uid + 1, UIDFolder.LASTUID);
        return uids(messages).stream().filter(found -> found > uid).sorted().toList();
    }

    List<Long> uids(Message[] messages) throws MessagingException {
        Message[] present = Arrays.stream(messages).filter(m -> m != null).toArray(Message[]::new);
        FetchProfile profile = new FetchProfile();
        profile.add(UIDFolder.FetchProfileItem.UID);
        folder.fetch(present, profile);
        List<Long> uids = new ArrayList<>();
        for (Message message : present) {
            uids.add(folder.getUID(message));
        }
        return uids;
    }

    /** One message; empty when it is gone by now. */
    Optional<Fetched> one(long uid) throws MessagingException {
        Message message = folder.getMessageByUID(uid);
        return message == null ? Optional.empty() : fetched(message, uid);
    }

    /** Several in one exchange; those that are gone by now are missing. */
    List<Fetched> several(long[] uids) throws MessagingException {
        Message[] messages = Arrays.stream(folder.getMessagesByUID(uids)).filter(m -> m != null).toArray(Message[]::new);
        FetchProfile profile = new FetchProfile();
        profile.add(UIDFolder.FetchProfileItem.UID);
        profile.add(IMAPFolder.FetchProfileItem.INTERNALDATE);
        profile.add(IMAPFolder.FetchProfileItem.MESSAGE);
        folder.fetch(messages, profile);
        List<Fetched> all = new ArrayList<>();
        for (Message message : messages) {
            fetched(message, folder.getUID(message)).ifPresent(all::add);
        }
        return all;
    }

    private Optional<Fetched> fetched(Message message, long uid) throws MessagingException {
        ByteArrayOutputStream octets = new ByteArrayOutputStream();
        try {
            message.writeTo(octets);
        } catch (IOException broken) {
            throw new MessagingException("the connection broke while a message was fetched", broken);
        }
        Instant received = Optional.ofNullable(message.getReceivedDate())
                .map(java.util.Date::toInstant)
                .orElse(Instant.EPOCH);
        Fetched.Place place = new Fetched.Place(folder.getFullName(), folder.getUIDValidity(), uid);
        return Optional.of(new Fetched(place, received, octets.toByteArray()));
    }
}
