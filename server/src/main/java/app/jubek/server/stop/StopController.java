package app.jubek.server.stop;

import app.jubek.server.account.Allowed;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Stops what leaves one mailbox, or every mailbox of the person, and lets one's mail leave again. */
@RestController
class StopController {
    private final Stops stops;
    private final MailboxAccess access;

    StopController(Stops stops, MailboxAccess access) {
        this.stops = stops;
        this.access = access;
    }

    /** Without a time, mail leaves. */
    record StopView(Optional<Instant> since, Optional<String> who) {}

    @GetMapping("/api/mailboxes/{mailbox}/stop")
    StopView stop(@Allowed UUID mailbox) {
        Optional<Stops.Stop> stop = stops.of(mailbox);
        return new StopView(stop.map(Stops.Stop::since), stop.map(Stops.Stop::who));
    }

    /**
     * @param all the person's other mailboxes, too
     */
    @PutMapping("/api/mailboxes/{mailbox}/stop")
    StopView stop(@Allowed UUID mailbox, @RequestParam boolean all, @AuthenticationPrincipal SignedIn who) {
        stops.stop(all ? access.mailboxes(who) : List.of(mailbox), who.shownName());
        return stop(mailbox);
    }

    @DeleteMapping("/api/mailboxes/{mailbox}/stop")
    StopView release(@Allowed UUID mailbox, @AuthenticationPrincipal SignedIn who) {
        stops.release(mailbox, who.shownName());
        return stop(mailbox);
    }
}
