package app.jubek.server.catchup;

import app.jubek.core.catchup.CatchUpNote;
import app.jubek.core.catchup.Pace;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.wording.Statement;
import app.jubek.server.folders.FolderNames;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.ServerTrouble;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.StandingWork;
import app.jubek.server.platform.StandingWorks;
import app.jubek.server.progress.WatchLeases;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import app.jubek.server.watching.FolderReading;
import jakarta.mail.MessagingException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The thread that goes on with catch-ups, a few messages a second. How far one is stands in the database, in the transaction
 * that plans a message's steps, so that a restart loses and repeats nothing. The node that watches a mailbox does its.
 */
@Service
public class CatchUpWork implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(CatchUpWork.class);
    private static final Duration TICK = Duration.ofSeconds(1);
    private static final Duration UNREADABLE = Duration.ofSeconds(30);

    private final CatchUpRepository catchUps;
    private final MessagePlanning planning;
    private final Scope scope;
    private final FolderNames names;
    private final FolderReading reading;
    private final RuleBooks books;
    private final Mailboxes mailboxes;
    private final WatchLeases leases;
    private final Signals signals;
    private final TransactionTemplate transaction;
    private final StandingWorks standing;
    private final Clock clock;
    private Optional<StandingWork> work = Optional.empty();
    private volatile boolean stopped;

    CatchUpWork(
            CatchUpRepository catchUps,
            MessagePlanning planning,
            Scope scope,
            FolderNames names,
            FolderReading reading,
            RuleBooks books,
            Mailboxes mailboxes,
            WatchLeases leases,
            Signals signals,
            TransactionTemplate transaction,
            StandingWorks standing,
            Clock clock) {
        this.catchUps = catchUps;
        this.planning = planning;
        this.scope = scope;
        this.names = names;
        this.reading = reading;
        this.books = books;
        this.mailboxes = mailboxes;
        this.leases = leases;
        this.signals = signals;
        this.transaction = transaction;
        this.standing = standing;
        this.clock = clock;
    }

    public synchronized void start() {
        work = Optional.of(standing.start("catch-up", this::goOn));
    }

    private void goOn() {
        while (!stopped) {
            Border.around(() -> catchUps.due(clock.instant()).forEach(this::goOn))
                    .ifPresent(away -> LOG.warn("catch-ups can't be looked for: {}", away.words()));
            LockSupport.parkNanos(TICK.toNanos());
        }
    }

    /** What is wrong with one keeps no other back. */
    private void goOn(UUID id) {
        Border.around(() -> catchUps.findById(id)
                        .filter(one -> !stopped && leases.take(one.mailboxId()).isPresent())
                        .ifPresent(this::goOn))
                .ifPresent(failure -> {
                    LOG.warn("catch-up {} is put off: {}", id, failure.trace());
                    change(id, entity -> entity.putOff(UNREADABLE, clock.instant()));
                });
    }

    private void goOn(CatchUpEntity one) {
        Mailbox mailbox = mailboxes.find(one.mailboxId());
        try {
            if (one.state() == CatchUpState.WAITING) {
                change(one.id(), entity -> entity.again(clock.instant()));
                read(one, mailbox, folders(one, mailbox));
            } else if (one.state() == CatchUpState.READING) {
                read(one, mailbox, folders(one, mailbox));
            } else {
                carryOut(one, mailbox, folders(one, mailbox));
            }
        } catch (MessagingException broken) {
            Statement why = CatchUpNote.FOLDERS_NOT_READ.with(
                    ServerTrouble.of(broken, mailbox.imap()).cause());
            change(one.id(), entity -> entity.waits(why, UNREADABLE, clock.instant()));
        }
        signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox.id()));
    }

    private List<String> folders(CatchUpEntity one, Mailbox mailbox) throws MessagingException {
        return names.ofReceived(mailbox, one.folders(), one.withSubfolders());
    }

    private void read(CatchUpEntity one, Mailbox mailbox, List<String> folders) throws MessagingException {
        LocalDate since = LocalDate.ofInstant(one.before().minus(Duration.ofDays(one.days())), ZoneOffset.UTC);
        reading.read(mailbox, folders, since, new FolderReading.Reader() {
            @Override
            public Set<Long> known(String folder, long uidValidity) {
                return catchUps.known(mailbox.id(), folder, uidValidity);
            }

            @Override
            public void reads(int done, int of) {
                change(one.id(), entity -> entity.reading(done, of));
                signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox.id()));
            }
        });
        if (reading.isInboxRead(mailbox.id())) {
            change(one.id(), CatchUpEntity::read);
        }
    }

    private void change(UUID id, Consumer<CatchUpEntity> change) {
        transaction.executeWithoutResult(status -> catchUps.toChange(id).ifPresent(change));
    }

    private void carryOut(CatchUpEntity one, Mailbox mailbox, List<String> folders) {
        RuleBook book = books.current(mailbox.id()).book();
        if (one.isChanged(book)) {
            change(one.id(), entity -> entity.pause(CatchUpNote.RULES_CHANGED.with()));
            return;
        }
        Scope.Seen seen = scope.of(one, folders, one.terms());
        int planned = 0;
        for (int place : seen.candidates()) {
            if (planned == Pace.MESSAGES_A_SECOND || catchUps.open(one.id()) >= Pace.OPEN_STEPS || stopped) {
                return;
            }
            MessagePlanning.Outcome outcome = planning.plan(one.id(), seen, place);
            if (outcome == MessagePlanning.Outcome.WAITS) {
                return;
            }
            planned += outcome == MessagePlanning.Outcome.PLANNED ? 1 : 0;
        }
        change(one.id(), entity -> entity.end(clock.instant()));
    }

    @Override
    public synchronized void destroy() throws InterruptedException {
        stopped = true;
        if (work.isPresent()) {
            work.get().stop();
            work.get().join(Duration.ofSeconds(5));
        }
    }
}
