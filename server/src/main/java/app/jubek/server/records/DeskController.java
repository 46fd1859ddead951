package app.jubek.server.records;

import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.delivery.DoneCount;
import app.jubek.server.delivery.LookBys;
import app.jubek.server.delivery.Outbox;
import app.jubek.server.delivery.RuleUse;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.mailbox.Mailboxes;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RestController;

/** What was done since a person last looked, and how much each rule is used. */
@RestController
class DeskController {
    private static final int LOOKED_BACK = 7;
    private static final Duration FIRST_LOOK = Duration.ofDays(7);

    private final Outbox outbox;
    private final Messages messages;
    private final MailboxAccess access;
    private final Looks looks;
    private final LookBys lookBys;
    private final Mailboxes mailboxes;
    private final Clock clock;

    DeskController(
            Outbox outbox,
            Messages messages,
            MailboxAccess access,
            Looks looks,
            LookBys lookBys,
            Mailboxes mailboxes,
            Clock clock) {
        this.lookBys = lookBys;
        this.mailboxes = mailboxes;
        this.outbox = outbox;
        this.messages = messages;
        this.access = access;
        this.looks = looks;
        this.clock = clock;
    }

    /**
     * @param lookedAt when the person last left the desk
     * @param since what is counted from; a week ago when they never did
     * @param came messages that came in and were decided
     * @param done messages that something was done with, by what it was
     * @param lookBy messages to be looked at today or tomorrow, or within the last week
     */
    record DeskView(
            Optional<Instant> lookedAt, Instant since, int came, List<DoneCount> done, List<LookByView> lookBy) {}

    record LookByView(MessageLine message, LocalDate day) {}

    @GetMapping("/api/mailboxes/{mailbox}/desk")
    DeskView desk(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox) {
        access.check(who, mailbox);
        Optional<Instant> lookedAt = looks.last(who.id(), mailbox);
        Instant since = lookedAt.orElseGet(() -> clock.instant().minus(FIRST_LOOK));
        return new DeskView(
                lookedAt,
                since,
                messages.decidedSince(mailbox, since),
                outbox.doneSince(mailbox, since),
                lookBy(mailbox));
    }

    private List<LookByView> lookBy(UUID mailbox) {
        LocalDate today =
                LocalDate.ofInstant(clock.instant(), mailboxes.find(mailbox).zone());
        List<LookBys.LookBy> due = lookBys.between(mailbox, today.minusDays(LOOKED_BACK), today.plusDays(1));
        Map<Long, MessageLine> lines = messages.lines(
                mailbox, due.stream().map(LookBys.LookBy::message).toList());
        return due.stream()
                .map(one -> new LookByView(lines.get(one.message()), one.day()))
                .toList();
    }

    /** The person leaves the desk; from now on it counts anew. */
    @PutMapping("/api/mailboxes/{mailbox}/desk/look")
    void looked(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox) {
        access.check(who, mailbox);
        looks.looked(who.id(), mailbox, clock.instant());
    }

    /** How often and when each rule acted. */
    @GetMapping("/api/mailboxes/{mailbox}/uses")
    List<RuleUse> uses(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox) {
        access.check(who, mailbox);
        return outbox.uses(mailbox);
    }
}
