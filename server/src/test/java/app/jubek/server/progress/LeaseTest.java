package app.jubek.server.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.Failure;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.MailboxStatus;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.Watching;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Two nodes, one mailbox: only the holder of the lease moves the cursor, and only forwards. */
class LeaseTest extends app.jubek.server.ServerContext {
    @Autowired
    private JdbcClient jdbc;

    @Autowired
    private WatchLeaseRepository leases;

    @Autowired
    private FolderCursors cursors;

    @Autowired
    private Mailboxes mailboxes;

    private UUID mailbox;
    private WatchLeases one;
    private WatchLeases two;

    @BeforeEach
    void aMailboxThatNobodyWatches() {
        mailbox = UUID.randomUUID();
        jdbc.sql("""
                        insert into mailbox (id, address, display_name, addresses, domains, zone, imap_host, imap_port, smtp_host, smtp_port,
                        user_name, secret, secret_key_id, hourly_limit, watching)
                        values (?, ?, '', '{}', '{}', 'UTC', 'x', 1, 'x', 1, 'u', '', 'k', 1, 'STARTING')""").params(mailbox, "lease-" + mailbox + "@x.example").update();
        cursors.begin(mailbox, "INBOX", new FolderCursors.Start(7, 10, Instant.EPOCH));
        one = new WatchLeases(leases, UUID.randomUUID(), Duration.ofSeconds(45));
        two = new WatchLeases(leases, UUID.randomUUID(), Duration.ofSeconds(45));
    }

    @org.junit.jupiter.api.AfterEach
    void remove() {
        jdbc.sql("delete from mailbox where id = ?").param(mailbox).update();
    }

    private static Fetched.Place at(long uid) {
        return new Fetched.Place("INBOX", 7, uid);
    }

    @Test
    void theSecondNodeWaitsAndTakesOverWhenTheFirstIsSilent() {
        Lease first = one.take(mailbox).orElseThrow();
        assertThat(two.take(mailbox)).isEmpty();
        assertThat(one.take(mailbox).orElseThrow().fencingToken()).as("renewed").isEqualTo(first.fencingToken());
        jdbc.sql("update watch_lease set until = now() - interval '1 second' where mailbox_id = ?")
                .param(mailbox)
                .update();
        assertThat(two.take(mailbox).orElseThrow().fencingToken()).isEqualTo(first.fencingToken() + 1);
        assertThat(one.take(mailbox)).isEmpty();
    }

    @Test
    void aMailboxThatNobodyWatchesSaysSo() {
        one.take(mailbox).orElseThrow();
        mailboxes.report(mailbox, Watching.WATCHING, Optional.empty());
        assertThat(status().watching()).isEqualTo(Watching.WATCHING);
        one.giveBack(mailbox);
        assertThat(status().watching()).isEqualTo(Watching.NOT_WATCHED);
        assertThat(status().trouble().orElseThrow().cause()).isEqualTo(Failure.NOBODY_WATCHES.with());
    }

    private MailboxStatus status() {
        return mailboxes.status(mailbox).whenHeld(one.isHeld(mailbox));
    }

    @Test
    void aNodeThatLostItsLeaseMovesNothing() {
        Lease first = one.take(mailbox).orElseThrow();
        one.giveBack(mailbox);
        Lease second = two.take(mailbox).orElseThrow();
        assertThat(cursors.advance(first, at(11))).isFalse();
        assertThat(cursors.advance(second, at(11))).isTrue();
    }

    @Test
    void theCursorMovesForwardsOnlyAndWithinItsUidValidity() {
        Lease lease = one.take(mailbox).orElseThrow();
        assertThat(cursors.advance(lease, at(12))).isTrue();
        assertThat(cursors.advance(lease, at(12))).isFalse();
        assertThat(cursors.advance(lease, at(11))).isFalse();
        assertThat(cursors.advance(lease, new Fetched.Place("INBOX", 8, 20))).isFalse();
    }

    @Test
    void theFirstReadingKnowsItsProgressAndGoesOnWhereItWas() {
        cursors.readingBegins(mailbox, "INBOX", 10);
        cursors.readDownTo(mailbox, "INBOX", 6, 5);
        assertThat(cursors.reading(mailbox, "INBOX")).contains(new FolderCursors.Reading(10, 5, false, false));
        assertThat(cursors.find(mailbox, "INBOX").orElseThrow().readBelow()).isEqualTo(6);
        cursors.readingBegins(mailbox, "INBOX", 5);
        cursors.readDownTo(mailbox, "INBOX", 0, 5);
        assertThat(cursors.reading(mailbox, "INBOX")).contains(new FolderCursors.Reading(10, 10, true, false));
    }
}
