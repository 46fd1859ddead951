package app.jubek.demo.postoffice;

import app.jubek.demo.garden.GardenMail;
import com.icegreen.greenmail.Managers;
import com.icegreen.greenmail.imap.ImapHostManager;
import com.icegreen.greenmail.imap.ImapHostManagerImpl;
import com.icegreen.greenmail.store.FolderException;
import com.icegreen.greenmail.store.MailFolder;
import com.icegreen.greenmail.user.GreenMailUser;
import com.icegreen.greenmail.user.UserException;
import com.icegreen.greenmail.user.UserManager;
import jakarta.mail.Flags;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Collection;
import java.util.Date;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Every mailbox of the simulated world; one is made when the first mail for it comes in. */
final class Mailboxes extends Managers {
    private final DurableStore store;
    private final ImapHostManager folders;
    private final UserManager users;
    private final Path list;
    private final String password;

    Mailboxes(Path data, String password) {
        this.store = new DurableStore(data.resolve("folders"));
        this.folders = new ImapHostManagerImpl(store);
        this.users = new UserManager(folders);
        this.list = data.resolve("mailboxes");
        this.password = password;
        known().forEach(this::create);
    }

    @Override
    public ImapHostManager getImapHostManager() {
        return folders;
    }

    @Override
    public UserManager getUserManager() {
        return users;
    }

    synchronized GreenMailUser named(String address) {
        String written = address.toLowerCase(Locale.ROOT);
        String key = GardenMail.ALIASES.getOrDefault(written, written);
        GreenMailUser user = users.getUserByEmail(key);
        if (user != null) {
            return user;
        }
        try {
            Files.writeString(
                    list, key + "\n", java.nio.file.StandardOpenOption.CREATE, java.nio.file.StandardOpenOption.APPEND);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
        return create(key);
    }

    List<String> addresses() {
        return users.listUser().stream().map(GreenMailUser::getEmail).sorted().toList();
    }

    Collection<MailFolder> folders(String address) {
        try {
            return folders.listMailboxes(named(address), "*");
        } catch (FolderException failed) {
            throw new IllegalStateException(failed);
        }
    }

    Optional<MailFolder> folder(String address, String name) {
        return Optional.ofNullable(folders.getFolder(named(address), name));
    }

    List<byte[]> raw(String address, String name) {
        return folder(address, name).map(MailFolder::getMessages).orElse(List.of()).stream()
                .map(DurableStore::bytes)
                .toList();
    }

    /** As after a restore from a backup: another UIDVALIDITY, other UIDs. */
    void renumber(String address, String name) {
        store.renumber(folder(address, name).orElseThrow());
    }

    void deliver(String address, byte[] bytes, Instant received) {
        append(address, "INBOX", bytes, new Flags(), received);
    }

    void append(String address, String folder, byte[] bytes, Flags flags, Instant received) {
        GreenMailUser user = named(address);
        try {
            MailFolder into = folders.getFolder(user, folder);
            MailFolder target = into == null ? folders.createMailbox(user, folder) : into;
            MimeMessage message = new MimeMessage(DurableStore.NO_SESSION, new ByteArrayInputStream(bytes));
            target.appendMessage(message, flags, Date.from(received));
        } catch (FolderException | com.icegreen.greenmail.imap.AuthorizationException | MessagingException failed) {
            throw new IllegalStateException(failed);
        }
    }

    private GreenMailUser create(String address) {
        try {
            GreenMailUser user = users.createUser(address, address, password);
            String inbox = folders.getFolder(user, "INBOX").getFullName();
            for (String folder : store.kept(inbox.substring(0, inbox.length() - "INBOX".length()))) {
                if (folders.getFolder(user, folder) == null) {
                    folders.createMailbox(user, folder);
                }
            }
            return user;
        } catch (UserException | FolderException | com.icegreen.greenmail.imap.AuthorizationException failed) {
            throw new IllegalStateException(failed);
        }
    }

    private List<String> known() {
        try {
            return Files.exists(list) ? Files.readAllLines(list) : List.of();
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }
}
