package app.jubek.server.rulebook;

import app.jubek.core.decide.CompiledBook;
import app.jubek.core.rule.BookDifference;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The rule book of each mailbox, all its versions kept. */
@Service
public class RuleBooks {
    private static final int MOST_CHANGES = 100;

    private final RuleBookRepository books;
    private final Mailboxes mailboxes;
    private final RuleSwitchRepository switches;
    private final Tail tail;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final Map<UUID, Compiled> compiled = new ConcurrentHashMap<>();

    private record Compiled(int version, CompiledBook book) {}

    RuleBooks(
            RuleBookRepository books,
            Mailboxes mailboxes,
            RuleSwitchRepository switches,
            Tail tail,
            ApplicationEventPublisher events,
            Clock clock) {
        this.books = books;
        this.mailboxes = mailboxes;
        this.switches = switches;
        this.tail = tail;
        this.events = events;
        this.clock = clock;
    }

    /** A book was saved; told within the same transaction. */
    public record Saved(UUID mailbox, String who) {}

    /** A book and its version; version 0 is the empty book before the first saving. */
    public record Versioned(int version, RuleBook book, Optional<Instant> savedAt, Optional<String> savedBy) {}

    @Transactional(readOnly = true)
    public Versioned current(UUID mailbox) {
        return books.newest(mailbox)
                .map(RuleBooks::versioned)
                .orElseGet(() -> new Versioned(0, RuleBook.empty(), Optional.empty(), Optional.empty()));
    }

    /** The book made ready for judging, kept until another version comes. */
    public CompiledBook compiled(UUID mailbox, Versioned book) {
        return compiled.compute(
                        mailbox,
                        (id, known) -> known != null && known.version() == book.version()
                                ? known
                                : new Compiled(book.version(), CompiledBook.of(book.book())))
                .book();
    }

    /** Since when each rule that is on has been on. */
    @Transactional(readOnly = true)
    public Map<RuleId, Instant> onSince(UUID mailbox) {
        return switches.of(mailbox).stream()
                .collect(Collectors.toMap(RuleSwitchEntity::rule, RuleSwitchEntity::onSince));
    }

    /**
     * Saves a changed book. Its tail is what absences make it, whatever the wanted one says.
     *
     * @param base the version it was made from; absences may have changed the tail meanwhile
     * @param notes what is recorded with it
     * @throws Refused when somebody saved another version meanwhile, or the book can't be carried out
     */
    @Transactional
    public Versioned save(UUID mailbox, int base, RuleBook wanted, String who, List<Statement> notes) {
        mailboxes.lock(mailbox);
        Versioned now = current(mailbox);
        if (now.version() != base && !isTheSameButTail(mailbox, base, now.book())) {
            throw Refused.conflict(
                    "The rules were changed meanwhile"
                            + now.savedBy().map(by -> " by " + by).orElse("")
                            + ". Your changes are still here; look at both before you save.",
                    Map.of("version", now.version(), "document", RuleBookJson.write(now.book())));
        }
        List<String> faults = wanted.faults();
        if (!faults.isEmpty()) {
            throw Refused.invalid(String.join(" ", faults), List.of());
        }
        RuleBook counted = new RuleBook(
                counted(wanted.rules(), now.book()), wanted.fence(), counted(tail.of(mailbox, wanted), now.book()));
        RuleBookEntity.Key key = new RuleBookEntity.Key(mailbox, now.version() + 1);
        books.save(new RuleBookEntity(key, RuleBookJson.write(counted).toString(), clock.instant(), who, notes));
        noteSwitches(mailbox, now.book(), counted);
        events.publishEvent(new Saved(mailbox, who));
        return current(mailbox);
    }

    private boolean isTheSameButTail(UUID mailbox, int base, RuleBook now) {
        return version(mailbox, base)
                .map(Versioned::book)
                .filter(book -> book.rules().equals(now.rules()) && book.fence().equals(now.fence()))
                .isPresent();
    }

    /** Brings the tail in line with the absences; nothing is saved where it is so already. */
    @Transactional
    public void renewTail(UUID mailbox, String who) {
        mailboxes.lock(mailbox);
        Versioned now = current(mailbox);
        if (!counted(tail.of(mailbox, now.book()), now.book()).equals(now.book().tail())) {
            save(mailbox, now.version(), now.book(), who);
        }
    }

    /** The same with nothing to record. */
    @Transactional
    public Versioned save(UUID mailbox, int base, RuleBook wanted, String who) {
        return save(mailbox, base, wanted, who, List.of());
    }

    /** One version; empty where there never was such a one. */
    @Transactional(readOnly = true)
    public Optional<Versioned> version(UUID mailbox, int version) {
        return books.findById(new RuleBookEntity.Key(mailbox, version)).map(RuleBooks::versioned);
    }

    /**
     * A version that was saved.
     *
     * @param changes from the version before it
     * @param notes what it was saved in spite of
     */
    public record Change(int version, Instant at, String who, List<Statement> changes, List<Statement> notes) {}

    /** What was saved from an instant until before another one, the newest first, at most a hundred. */
    @Transactional(readOnly = true)
    public List<Change> changes(UUID mailbox, Instant from, Instant until) {
        return books.saved(mailbox, from, until, Limit.of(MOST_CHANGES)).stream()
                .map(entity -> {
                    RuleBook before = version(mailbox, entity.version() - 1)
                            .map(Versioned::book)
                            .orElse(RuleBook.empty());
                    return new Change(
                            entity.version(),
                            entity.savedAt(),
                            entity.savedBy(),
                            BookDifference.between(before, RuleBookJson.read(entity.document())),
                            entity.notes());
                })
                .toList();
    }

    private static Versioned versioned(RuleBookEntity entity) {
        return new Versioned(
                entity.version(),
                RuleBookJson.read(entity.document()),
                Optional.of(entity.savedAt()),
                Optional.of(entity.savedBy()));
    }

    private static List<Rule> counted(List<Rule> wanted, RuleBook before) {
        return wanted.stream()
                .map(rule -> counted(rule, before.find(rule.id())))
                .toList();
    }

    /** A changed rule counts one version up; the switch alone is no change. */
    private static Rule counted(Rule wanted, Optional<Rule> before) {
        int version = before.map(old -> sameButSwitch(old, wanted) ? old.version() : old.version() + 1)
                .orElse(1);
        return wanted.asVersion(version);
    }

    private static boolean sameButSwitch(Rule one, Rule other) {
        return one.asVersion(1).switched(true).equals(other.asVersion(1).switched(true));
    }

    private void noteSwitches(UUID mailbox, RuleBook before, RuleBook after) {
        Instant now = clock.instant();
        after.all().forEach(rule -> {
            boolean was = before.find(rule.id()).map(Rule::on).orElse(false);
            if (rule.on() && !was) {
                switches.save(new RuleSwitchEntity(mailbox, rule.id(), now));
            }
        });
    }
}
