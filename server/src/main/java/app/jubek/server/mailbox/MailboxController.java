package app.jubek.server.mailbox;

import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.platform.DiskSpace;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.MovableClock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Who is signed in, and how their mailboxes are. */
@RestController
class MailboxController {
    private final Mailboxes mailboxes;
    private final MailboxAccess access;
    private final FolderCursors cursors;
    private final DiskSpace disk;
    private final JubekProperties properties;
    private final MovableClock clock;

    MailboxController(
            Mailboxes mailboxes,
            MailboxAccess access,
            FolderCursors cursors,
            DiskSpace disk,
            JubekProperties properties,
            MovableClock clock) {
        this.mailboxes = mailboxes;
        this.access = access;
        this.cursors = cursors;
        this.disk = disk;
        this.properties = properties;
        this.clock = clock;
    }

    /** The session; without a name when nobody is signed in. */
    record SessionView(Optional<String> name, List<MailboxName> mailboxes, boolean demo) {}

    record MailboxName(UUID id, String address, String name) {}

    record MailboxView(
            UUID id,
            String address,
            List<String> ownAddresses,
            List<String> ownDomains,
            String zone,
            List<String> opening,
            Watching watching,
            String watchingDetail,
            Optional<Instant> lastContact,
            Optional<Instant> lastMessageAt,
            Optional<FolderCursors.Reading> firstReading,
            Optional<String> warning,
            Instant now) {}

    @GetMapping("/api/session")
    SessionView session(@AuthenticationPrincipal @Nullable SignedIn who) {
        boolean demo = properties.simulated().isPresent();
        if (who == null) {
            return new SessionView(Optional.empty(), List.of(), demo);
        }
        List<UUID> seen = access.mailboxes(who);
        List<MailboxName> own = mailboxes.all().stream()
                .filter(m -> seen.contains(m.id()))
                .map(m -> new MailboxName(
                        m.id(), m.own().identity().address(), m.own().identity().name()))
                .toList();
        return new SessionView(Optional.of(who.shownName()), own, demo);
    }

    @GetMapping("/api/mailboxes/{mailbox}")
    MailboxView mailbox(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox) {
        access.check(who, mailbox);
        Mailbox found = mailboxes.find(mailbox);
        MailboxStatus status = mailboxes.status(mailbox);
        return new MailboxView(
                found.id(),
                found.own().identity().address(),
                found.own().addresses().stream().map(a -> a.address()).toList(),
                found.own().domains(),
                found.zone().getId(),
                found.opening().written(),
                status.watching(),
                status.detail(),
                status.lastContact(),
                status.lastMessageAt(),
                cursors.reading(mailbox, Watcher.INBOX),
                disk.warning(),
                clock.instant());
    }
}
