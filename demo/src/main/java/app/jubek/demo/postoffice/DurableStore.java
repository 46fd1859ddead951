package app.jubek.demo.postoffice;

import com.icegreen.greenmail.store.FolderException;
import com.icegreen.greenmail.store.FolderListener;
import com.icegreen.greenmail.store.InMemoryStore;
import com.icegreen.greenmail.store.MailFolder;
import com.icegreen.greenmail.store.Store;
import com.icegreen.greenmail.store.StoredMessage;
import jakarta.mail.Flags;
import jakarta.mail.MessagingException;
import jakarta.mail.Quota;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.reflect.Field;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Date;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** GreenMail's store in memory, with every folder kept on disk as well and read back at the start. */
final class DurableStore implements Store {
    static final Session NO_SESSION = Session.getInstance(new Properties());

    private final Path root;
    private final InMemoryStore memory = new InMemoryStore();
    private final Map<String, MailFolder> folders = new ConcurrentHashMap<>();
    private final Map<MailFolder, Recorder> recorders = new ConcurrentHashMap<>();

    DurableStore(Path root) {
        this.root = root;
    }

    @Override
    public MailFolder createMailbox(MailFolder parent, String name, boolean selectable) throws FolderException {
        MailFolder folder = memory.createMailbox(QuickFolder.unwrap(parent), name, selectable);
        FolderJournal journal = new FolderJournal(root.resolve(folder.getFullName()));
        if (selectable) {
            if (journal.exists()) {
                restore(folder, journal.read());
            } else {
                journal.begin(folder.getUidValidity());
            }
            Recorder recorder = new Recorder(folder, journal);
            folder.addListener(recorder);
            recorders.put(folder, recorder);
        }
        return quick(folder);
    }

    /** The names, below a prefix, of the folders kept on disk. */
    List<String> kept(String prefix) {
        try (Stream<Path> all = Files.exists(root) ? Files.list(root) : Stream.of()) {
            return all.filter(folder -> new FolderJournal(folder).exists())
                    .map(folder -> folder.getFileName().toString())
                    .filter(name -> name.startsWith(prefix))
                    .map(name -> name.substring(prefix.length()))
                    .sorted()
                    .toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private MailFolder quick(MailFolder folder) {
        MailFolder known = folders.get(folder.getFullName());
        if (known == null || QuickFolder.unwrap(known) != folder) {
            known = QuickFolder.over(folder);
            folders.put(folder.getFullName(), known);
        }
        return known;
    }

    @Override
    public void deleteMailbox(MailFolder folder) throws FolderException {
        memory.deleteMailbox(QuickFolder.unwrap(folder));
        new FolderJournal(root.resolve(folder.getFullName())).delete();
    }

    @Override
    public void renameMailbox(MailFolder folder, String newName) throws FolderException {
        MailFolder renamed = QuickFolder.unwrap(folder);
        folders.remove(renamed.getFullName());
        memory.renameMailbox(renamed, newName);
        recorders.get(renamed).journal.moveTo(root.resolve(renamed.getFullName()));
    }

    /** Gives a folder another UIDVALIDITY and numbers its messages anew, last one first. */
    void renumber(MailFolder folder) {
        MailFolder numbered = QuickFolder.unwrap(folder);
        List<StoredMessage> messages = new ArrayList<>(numbered.getMessages());
        Collections.reverse(messages);
        recorders.get(numbered).forget();
        numbered.deleteAllMessages();
        setField(numbered, "uidValidity", numbered.getUidValidity() + 1);
        recorders.get(numbered).journal.begin(numbered.getUidValidity());
        ((AtomicLong) field(numbered, "nextUid")).set(1);
        messages.forEach(m -> numbered.appendMessage(m.getMimeMessage(), m.getFlags(), m.getReceivedDate()));
    }

    @Override
    public @Nullable MailFolder getMailbox(String fullName) {
        MailFolder found = memory.getMailbox(fullName);
        return found == null ? null : quick(found);
    }

    @Override
    public @Nullable MailFolder getMailbox(MailFolder parent, String name) {
        MailFolder found = memory.getMailbox(QuickFolder.unwrap(parent), name);
        return found == null ? null : quick(found);
    }

    @Override
    public Collection<MailFolder> getChildren(MailFolder parent) {
        return memory.getChildren(QuickFolder.unwrap(parent)).stream()
                .map(this::quick)
                .toList();
    }

    @Override
    public MailFolder setSelectable(MailFolder folder, boolean selectable) {
        return quick(memory.setSelectable(QuickFolder.unwrap(folder), selectable));
    }

    @Override
    public Collection<MailFolder> listMailboxes(String pattern) throws FolderException {
        return memory.listMailboxes(pattern).stream().map(this::quick).toList();
    }

    @Override
    public Quota[] getQuota(String root, String name, boolean recurse) {
        return memory.getQuota(root, name, recurse);
    }

    @Override
    public void setQuota(Quota quota, String name) {
        memory.setQuota(quota, name);
    }

    @Override
    public void deleteQuota(String name) {
        memory.deleteQuota(name);
    }

    @Override
    public boolean isQuotaSupported() {
        return memory.isQuotaSupported();
    }

    @Override
    public void setQuotaSupported(boolean supported) {
        memory.setQuotaSupported(supported);
    }

    private static void restore(MailFolder folder, FolderJournal.State state) {
        setField(folder, "uidValidity", state.uidValidity());
        AtomicLong next = (AtomicLong) field(folder, "nextUid");
        for (FolderJournal.Kept kept : state.messages()) {
            next.set(kept.uid());
            folder.appendMessage(message(kept.bytes()), kept.flags(), Date.from(kept.received()));
        }
        next.set(state.uidNext());
    }

    private static MimeMessage message(Path bytes) {
        try (InputStream in = Files.newInputStream(bytes)) {
            return new MimeMessage(NO_SESSION, in);
        } catch (IOException | MessagingException unreadable) {
            throw new IllegalStateException("can't read " + bytes, unreadable);
        }
    }

    /** GreenMail numbers every folder anew; to keep numbers over a restart its two private counters are set. */
    private static Object field(MailFolder folder, String name) {
        try {
            Field field = folder.getClass().getDeclaredField(name);
            field.setAccessible(true);
            return field.get(folder);
        } catch (ReflectiveOperationException otherVersion) {
            throw new IllegalStateException("GreenMail's folder has no field " + name, otherVersion);
        }
    }

    private static void setField(MailFolder folder, String name, long value) {
        try {
            Field field = folder.getClass().getDeclaredField(name);
            field.setAccessible(true);
            field.setLong(folder, value);
        } catch (ReflectiveOperationException otherVersion) {
            throw new IllegalStateException("GreenMail's folder has no field " + name, otherVersion);
        }
    }

    static byte[] bytes(StoredMessage message) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            message.getMimeMessage().writeTo(out);
        } catch (IOException | MessagingException failed) {
            throw new UncheckedIOException(new IOException(failed));
        }
        return out.toByteArray();
    }

    private static final class Recorder implements FolderListener {
        private final MailFolder folder;
        private final FolderJournal journal;
        private final List<Long> uids = new ArrayList<>();

        Recorder(MailFolder folder, FolderJournal journal) {
            this.folder = folder;
            this.journal = journal;
            folder.getMessages().forEach(m -> uids.add(m.getUid()));
        }

        synchronized void forget() {
            uids.forEach(journal::expunged);
            uids.clear();
        }

        @Override
        public synchronized void added(int number) {
            List<StoredMessage> all = folder.getMessages();
            for (int i = uids.size(); i < all.size(); i++) {
                StoredMessage message = all.get(i);
                uids.add(message.getUid());
                journal.added(
                        message.getUid(),
                        bytes(message),
                        message.getReceivedDate().toInstant(),
                        message.getFlags());
            }
        }

        @Override
        public synchronized void expunged(int number) {
            journal.expunged(uids.remove(number - 1));
        }

        @Override
        public synchronized void flagsUpdated(int number, Flags flags, Long uid) {
            if (number > 0 && number <= uids.size()) {
                journal.flagged(uids.get(number - 1), flags);
            }
        }

        @Override
        public void mailboxDeleted() {
            journal.delete();
        }
    }
}
