package app.jubek.server.watching;

import app.jubek.core.rule.SettingChange;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.http.TroubleView;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.MailboxStatus;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.Watching;
import app.jubek.server.platform.DiskSpace;
import app.jubek.server.platform.MovableClock;
import app.jubek.server.platform.SimulatedWorld;
import app.jubek.server.progress.FolderCursors;
import app.jubek.server.progress.WatchLeases;
import app.jubek.server.setting.SettingChanges;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who is signed in, and how their mailboxes are. */
@RestController
class MailboxController {
    private final Mailboxes mailboxes;
    private final MailboxAccess access;
    private final FolderCursors cursors;
    private final WatchLeases leases;
    private final SettingChanges changes;
    private final DiskSpace disk;
    private final ObjectProvider<SimulatedWorld> world;
    private final MovableClock clock;

    MailboxController(
            Mailboxes mailboxes,
            MailboxAccess access,
            FolderCursors cursors,
            WatchLeases leases,
            SettingChanges changes,
            DiskSpace disk,
            ObjectProvider<SimulatedWorld> world,
            MovableClock clock) {
        this.mailboxes = mailboxes;
        this.access = access;
        this.cursors = cursors;
        this.leases = leases;
        this.changes = changes;
        this.disk = disk;
        this.world = world;
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
            Optional<TroubleView> trouble,
            Optional<Instant> lastContact,
            Optional<Instant> lastMessageAt,
            Optional<FolderCursors.Reading> firstReading,
            Optional<TroubleView> warning,
            Instant now) {}

    @GetMapping("/api/session")
    SessionView session(@AuthenticationPrincipal @Nullable SignedIn who) {
        boolean demo = world.getIfAvailable() != null;
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
    MailboxView mailbox(@Allowed UUID mailbox) {
        Mailbox found = mailboxes.find(mailbox);
        MailboxStatus status = mailboxes.status(mailbox).whenHeld(leases.isHeld(mailbox));
        return new MailboxView(
                found.id(),
                found.own().identity().address(),
                found.own().addresses().stream().map(a -> a.address()).toList(),
                found.own().domains(),
                found.zone().getId(),
                found.opening().written(),
                status.watching(),
                status.trouble().map(TroubleView::of),
                status.lastContact(),
                status.lastMessageAt(),
                cursors.reading(mailbox, Watcher.INBOX),
                disk.warning().map(TroubleView::of),
                clock.instant());
    }

    @PostMapping("/api/mailboxes/{mailbox}/first-reading/pause")
    void pauseFirstReading(@Allowed UUID mailbox, @AuthenticationPrincipal SignedIn who) {
        cursors.pauseReading(mailbox, Watcher.INBOX, true);
        changes.note(mailbox, who.shownName(), SettingChange.FIRST_READING_PAUSED.with());
    }

    @PostMapping("/api/mailboxes/{mailbox}/first-reading/resume")
    void resumeFirstReading(@Allowed UUID mailbox, @AuthenticationPrincipal SignedIn who) {
        cursors.pauseReading(mailbox, Watcher.INBOX, false);
        changes.note(mailbox, who.shownName(), SettingChange.FIRST_READING_RESUMED.with());
    }
}
