package app.jubek.server.catchup;

import app.jubek.core.catchup.Preview;
import app.jubek.core.catchup.Terms;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.StepState;
import app.jubek.server.folders.FolderNames;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import jakarta.mail.MessagingException;
import java.time.Clock;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Catch-ups as people begin them, look them over, and end them. */
@Service
class CatchUps {
    private static final int SHOWN = 50;
    private static final int MOST_DAYS = 180;

    private final CatchUpRepository catchUps;
    private final Scope scope;
    private final FolderNames folders;
    private final RuleBooks books;
    private final Mailboxes mailboxes;
    private final Signals signals;
    private final TransactionTemplate transaction;
    private final Clock clock;

    CatchUps(
            CatchUpRepository catchUps,
            Scope scope,
            FolderNames folders,
            RuleBooks books,
            Mailboxes mailboxes,
            Signals signals,
            TransactionTemplate transaction,
            Clock clock) {
        this.transaction = transaction;
        this.catchUps = catchUps;
        this.scope = scope;
        this.folders = folders;
        this.books = books;
        this.mailboxes = mailboxes;
        this.signals = signals;
        this.clock = clock;
    }

    /** Folders that hold received mail; none when the mail server can't be asked. */
    List<String> folders(UUID mailbox) {
        try {
            return folders.ofReceived(mailboxes.find(mailbox));
        } catch (MessagingException away) {
            return List.of();
        }
    }

    @Transactional(readOnly = true)
    List<CatchUpEntity> newest(UUID mailbox) {
        return catchUps.newest(mailbox, Limit.of(SHOWN));
    }

    /**
     * @throws Refused as not found
     */
    @Transactional(readOnly = true)
    CatchUpEntity find(UUID mailbox, UUID id) {
        return catchUps.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
    }

    /** How many of its steps stand in each state. */
    @Transactional(readOnly = true)
    Map<StepState, Integer> steps(CatchUpEntity of) {
        Map<StepState, Integer> counts = new EnumMap<>(StepState.class);
        catchUps.steps(of.id()).forEach(row -> counts.put((StepState) row[0], ((Number) row[1]).intValue()));
        return counts;
    }

    /**
     * Nothing is done yet: folders are read, and a person looks it over.
     *
     * @throws Refused when it names no rule that is on, no folder, or too long a time
     */
    @Transactional
    CatchUpEntity begin(
            UUID mailbox, List<RuleId> rules, List<String> folders, boolean subfolders, int days, String who) {
        RuleBook book = books.current(mailbox).book();
        for (RuleId rule : rules) {
            if (!book.find(rule).orElseThrow(Refused::notFound).on()) {
                throw Refused.conflict(
                        "“" + book.find(rule).orElseThrow().name()
                                + "” is paused. Switch it on first: a catch-up carries out rules that are on.",
                        Map.of());
            }
        }
        if (rules.isEmpty() || folders.isEmpty() || days < 1 || days > MOST_DAYS) {
            throw Refused.invalid(
                    "Choose at least one rule and one folder, and between 1 and " + MOST_DAYS + " days.", List.of());
        }
        List<String> ids = rules.stream().map(RuleId::value).distinct().toList();
        CatchUpEntity made = new CatchUpEntity(mailbox, ids, folders, subfolders, days).begin(who, clock.instant());
        return catchUps.save(made);
    }

    /**
     * What it would do by the rules as they are now.
     *
     * @param seen with all that it goes by
     */
    record Looked(Scope.Seen seen, Preview preview) {}

    Looked preview(CatchUpEntity of, Terms terms) {
        Mailbox mailbox = mailboxes.find(of.mailboxId());
        Scope.Seen seen = scope.of(of, named(mailbox, of), terms);
        return new Looked(seen, Preview.of(seen.catchUp()));
    }

    private List<String> named(Mailbox mailbox, CatchUpEntity of) {
        try {
            return folders.ofReceived(mailbox, of.folders(), of.withSubfolders());
        } catch (MessagingException away) {
            throw Refused.conflict(
                    "The mail server can’t be asked for the folders just now. Try again soon.", Map.of());
        }
    }

    /**
     * What a person has seen and said yes to; a number that is not the one of now is refused.
     *
     * @param handOvers messages that are handed on; empty to hand on none
     * @param replies replies that are given; empty to reply to nobody
     * @param deletions messages that are deleted for good
     */
    record Yes(Optional<Integer> handOvers, Optional<Integer> replies, int deletions, Optional<Every> every) {
        Terms terms() {
            return new Terms(handOvers.isPresent(), replies.isPresent());
        }

        void check(Preview preview) {
            same("handed on", handOvers.orElse(0), preview.handOvers());
            same("answered", replies.orElse(0), preview.replies());
            same("deleted for good", deletions, preview.deletions());
            if (every.isPresent() && (handOvers.isPresent() || replies.isPresent())) {
                throw Refused.invalid(
                        "What is done again and again only works in the mailbox: nobody sees what would leave.",
                        List.of());
            }
        }

        private static void same(String what, int seen, int now) {
            if (seen != now) {
                throw Refused.conflict(
                        "By now " + now + " messages would be " + what + ", not " + seen + ". Look it over again.",
                        Map.of());
            }
        }
    }

    CatchUpEntity start(UUID mailbox, UUID id, Yes yes) {
        Preview preview = preview(find(mailbox, id), yes.terms()).preview();
        yes.check(preview);
        RuleBook book = books.current(mailbox).book();
        return change(
                mailbox,
                id,
                CatchUpState.RUNNING,
                entity -> entity.start(yes.terms(), yes.every(), book, preview.messages()));
    }

    CatchUpEntity pause(UUID mailbox, UUID id) {
        return change(mailbox, id, CatchUpState.PAUSED, CatchUpEntity::pause);
    }

    /** It goes on; with other rules than those that were looked over, it is to be looked over again first. */
    CatchUpEntity resume(UUID mailbox, UUID id) {
        boolean changed = find(mailbox, id).isChanged(books.current(mailbox).book());
        return change(
                mailbox, id, changed ? CatchUpState.READY : CatchUpState.RUNNING, entity -> entity.resume(changed));
    }

    /** What it has planned goes on; no more is planned. */
    CatchUpEntity stop(UUID mailbox, UUID id) {
        return change(mailbox, id, CatchUpState.STOPPED, entity -> entity.stop(clock.instant()));
    }

    private CatchUpEntity change(UUID mailbox, UUID id, CatchUpState next, Consumer<CatchUpEntity> change) {
        return Optional.ofNullable(transaction.execute(status -> changed(mailbox, id, next, change)))
                .orElseThrow();
    }

    private CatchUpEntity changed(UUID mailbox, UUID id, CatchUpState next, Consumer<CatchUpEntity> change) {
        CatchUpEntity entity = catchUps.toChange(id)
                .filter(found -> found.mailboxId().equals(mailbox))
                .orElseThrow(Refused::notFound);
        if (!entity.state().mayBe(next)) {
            throw Refused.conflict(
                    "The catch-up is " + entity.state().name().toLowerCase(Locale.ROOT)
                            + " by now, so that can’t be done.",
                    Map.of());
        }
        change.accept(entity);
        signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox));
        return catchUps.save(entity);
    }
}
