package app.jubek.server.review;

import app.jubek.core.address.MailAddress;
import app.jubek.core.exchange.Loops;
import app.jubek.core.exchange.MailboxHere;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.wording.Statement;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.deciding.Composers;
import app.jubek.server.deciding.DecisionContexts;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.BeforeSaving;
import app.jubek.server.rulebook.RuleBooks;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Plays exchanges through with the rules of all mailboxes here. */
@Component
class Exchanges implements BeforeSaving {
    /** How far back a message is looked for that a rule picks. */
    private static final int DAYS = 180;

    /** People and templates may change meanwhile. */
    private static final Duration KNOWN_FOR = Duration.ofMinutes(1);

    private static final Logger LOG = LoggerFactory.getLogger(Exchanges.class);

    private final Mailboxes mailboxes;
    private final RuleBooks books;
    private final AddressBooks people;
    private final DecisionContexts contexts;
    private final Composers composers;
    private final PastMail pastMail;
    private final Clock clock;
    private final Map<UUID, Known> known = new ConcurrentHashMap<>();

    Exchanges(
            Mailboxes mailboxes,
            RuleBooks books,
            AddressBooks people,
            DecisionContexts contexts,
            Composers composers,
            PastMail pastMail,
            Clock clock) {
        this.mailboxes = mailboxes;
        this.books = books;
        this.people = people;
        this.contexts = contexts;
        this.composers = composers;
        this.pastMail = pastMail;
        this.clock = clock;
    }

    /** All mailboxes, one of them with other rules. */
    Map<UUID, MailboxHere> here(UUID mailbox, RuleBook rules) {
        Instant now = clock.instant();
        return mailboxes.all().stream()
                .collect(Collectors.toMap(
                        Mailbox::id,
                        each -> here(
                                each,
                                each.id().equals(mailbox)
                                        ? rules
                                        : books.current(each.id()).book(),
                                now)));
    }

    private MailboxHere here(Mailbox mailbox, RuleBook rules, Instant now) {
        return MailboxHere.with(
                rules,
                contexts.withEverybodyAgreed(mailbox, mailbox.contextOfInbox(people.of(mailbox.id()), now)),
                composers.withEmptyDocuments(mailbox));
    }

    /** What was found, by the versions of all rule books. */
    private record Known(Map<UUID, Integer> versions, Instant at, List<Loops.Tried> tried) {}

    /**
     * What becomes of the rules of one mailbox as they are. It is asked for whenever somebody looks at the rules, so what was
     * found a moment ago is not looked for again.
     */
    List<Loops.Tried> ofToday(UUID mailbox) {
        Map<UUID, Integer> versions = mailboxes.all().stream()
                .collect(Collectors.toMap(
                        Mailbox::id, each -> books.current(each.id()).version()));
        return Optional.ofNullable(known.get(mailbox))
                .filter(last -> last.versions().equals(versions))
                .filter(last -> last.at().isAfter(clock.instant().minus(KNOWN_FOR)))
                .orElseGet(() -> found(mailbox, versions))
                .tried();
    }

    private Known found(UUID mailbox, Map<UUID, Integer> versions) {
        RuleBook rules = books.current(mailbox).book();
        Known found = new Known(versions, clock.instant(), tried(mailbox, rules, rule -> true));
        known.put(mailbox, found);
        return found;
    }

    /** What becomes of rules of one mailbox. */
    List<Loops.Tried> tried(UUID mailbox, RuleBook rules, Predicate<Rule> asked) {
        Map<UUID, MailboxHere> here = here(mailbox, rules);
        return tried(here, here.get(mailbox), pastOf(mailbox), asked);
    }

    /** Messages of a mailbox's past, to play a rule through with. */
    Loops.Examples pastOf(UUID mailbox) {
        return Loops.Examples.from(pastMail.window(mailbox, DAYS).past());
    }

    List<Loops.Tried> tried(
            Map<UUID, MailboxHere> here, MailboxHere of, Loops.Examples examples, Predicate<Rule> asked) {
        Loops loops = new Loops(new ArrayList<>(here.values()));
        return of.sending()
                .filter(asked)
                .map(rule -> tried(rule, of, () -> loops.tried(of, rule, examples)))
                .toList();
    }

    /** One that can't be played through keeps no other from it, and nothing from being saved. */
    private static Loops.Tried tried(Rule rule, MailboxHere of, Supplier<Loops.Tried> trying) {
        AtomicReference<Loops.Tried> tried = new AtomicReference<>(new Loops.Tried(of, rule, Optional.empty()));
        Border.around(() -> tried.set(trying.get()))
                .ifPresent(failure -> LOG.error(
                        "rule {} can't be played through: {}", rule.id().value(), failure.trace()));
        return tried.get();
    }

    /** A rule that is switched on, or changed while it is on, sends no mail round without end. */
    @Override
    public List<Statement> check(Saving saving) {
        Predicate<Rule> isNew = rule -> saving.before()
                .find(rule.id())
                .filter(old -> old.asVersion(1).equals(rule.asVersion(1)))
                .isEmpty();
        if (saving.wanted().all().stream().noneMatch(rule -> rule.on() && isNew.test(rule))) {
            return List.of();
        }
        tried(saving.mailbox(), saving.wanted(), isNew).stream()
                .filter(Loops.Tried::isEndless)
                .findFirst()
                .ifPresent(Exchanges::refuse);
        return List.of();
    }

    private static void refuse(Loops.Tried tried) {
        String answering = tried.exchange()
                .map(exchange -> exchange.answering(tried.mailbox().identity()))
                .filter(named -> !named.isEmpty())
                .map(named -> named.stream().map(MailAddress::address).collect(Collectors.joining(" and ")))
                .orElse("those who get its mail");
        throw Refused.invalid(
                "“" + tried.rule().name() + "” can't be on like this: if " + answering
                        + " answer every message, as some programs do, it hands the answers on without end."
                        + " Leave out their mail, or keep the rule paused.",
                List.of(),
                Map.of("loop", tried.rule().id().value()));
    }
}
