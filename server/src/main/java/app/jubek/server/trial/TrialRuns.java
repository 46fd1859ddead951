package app.jubek.server.trial;

import app.jubek.core.decide.DecisionContext;
import app.jubek.core.people.AddressBook;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.template.Prepared;
import app.jubek.core.trial.Trial;
import app.jubek.core.trial.TrialResult;
import app.jubek.core.trial.TrialRun;
import app.jubek.core.view.MessageView;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.deciding.DecisionContexts;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import app.jubek.server.template.Templates;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * What the trials of each mailbox come to with the rules of now. They are run anew whenever anything has changed that rules
 * go by: rules, templates, people, hours, or a trial; whoever changed it, in whatever process.
 */
@Component
public class TrialRuns {
    private static final Logger LOG = LoggerFactory.getLogger(TrialRuns.class);
    private static final int LOOK_SECONDS = 2;

    private final Trials trials;
    private final RuleBooks books;
    private final Mailboxes mailboxes;
    private final AddressBooks people;
    private final Templates templates;
    private final DecisionContexts contexts;
    private final Signals signals;
    private final Clock clock;
    private final Map<UUID, Run> last = new ConcurrentHashMap<>();

    TrialRuns(
            Trials trials,
            RuleBooks books,
            Mailboxes mailboxes,
            AddressBooks people,
            Templates templates,
            DecisionContexts contexts,
            Signals signals,
            Clock clock) {
        this.trials = trials;
        this.books = books;
        this.mailboxes = mailboxes;
        this.people = people;
        this.templates = templates;
        this.contexts = contexts;
        this.signals = signals;
        this.clock = clock;
    }

    /** All that trials depend on. */
    private record Basis(Mailbox mailbox, int version, long people, Prepared prepared, Trials.Stamp trials) {}

    /**
     * @param tried in the order in which they were kept
     */
    record Run(Basis basis, Instant at, List<Tried> tried) {
        int version() {
            return basis.version();
        }

        /** Whether nothing is new to whoever has seen another run. */
        boolean saysAs(Run other) {
            return version() == other.version() && outcomes().equals(other.outcomes());
        }

        private Map<KeptTrial, Boolean> outcomes() {
            return tried.stream().collect(Collectors.toMap(Tried::kept, Tried::holds));
        }

        long differing() {
            return tried.stream().filter(each -> !each.holds()).count();
        }
    }

    /**
     * @param result empty when its message can't be judged
     */
    record Tried(KeptTrial kept, Optional<TrialResult> result) {
        boolean holds() {
            return result.filter(TrialResult::holds).isPresent();
        }
    }

    @Scheduled(fixedDelay = LOOK_SECONDS, timeUnit = TimeUnit.SECONDS)
    void look() {
        Border.around(() -> trials.mailboxes()
                        .forEach(mailbox -> Border.around(() -> current(mailbox))
                                .ifPresent(
                                        failed -> LOG.warn("trials of {} can't be run: {}", mailbox, failed.trace()))))
                .ifPresent(failed -> LOG.warn("trials can't be run just now: {}", failed.words()));
    }

    /** With the rules of now. */
    Run current(UUID mailbox) {
        RuleBooks.Versioned book = books.current(mailbox);
        Basis basis = new Basis(
                mailboxes.find(mailbox),
                book.version(),
                mailboxes.evidenceEpoch(mailbox),
                templates.of(mailbox),
                trials.stamp(mailbox));
        return Optional.ofNullable(last.get(mailbox))
                .filter(run -> run.basis().equals(basis))
                .orElseGet(() -> run(basis, book.book()));
    }

    private Run run(Basis basis, RuleBook book) {
        UUID mailbox = basis.mailbox().id();
        List<Tried> tried = of(mailbox, book);
        Run run = new Run(basis, clock.instant(), tried);
        trials.held(
                tried.stream()
                        .filter(Tried::holds)
                        .map(each -> each.kept().id())
                        .toList(),
                basis.version());
        boolean same =
                Optional.ofNullable(last.put(mailbox, run)).filter(run::saysAs).isPresent();
        if (!same) {
            signals.sendSoon(new Signal(Signal.Topic.TRIALS, mailbox));
        }
        return run;
    }

    /**
     * A kept trial with its message.
     */
    public record Readable(UUID id, String name, Trial trial) {}

    /** Those whose messages can be read, in the order in which they were kept. */
    public List<Readable> readable(UUID mailbox) {
        Mailbox of = mailboxes.find(mailbox);
        AddressBook known = people.of(mailbox);
        return trials.all(mailbox).stream()
                .flatMap(kept -> trial(kept, of, known).stream()
                        .map(trial -> new Readable(kept.id(), kept.written().name(), trial)))
                .toList();
    }

    /** With other rules. */
    List<Tried> of(UUID mailbox, RuleBook book) {
        Mailbox of = mailboxes.find(mailbox);
        AddressBook known = people.of(mailbox);
        DecisionContext at = context(of, known);
        List<KeptTrial> kept = trials.all(mailbox);
        List<Trial> readable =
                kept.stream().flatMap(each -> trial(each, of, known).stream()).toList();
        Map<String, TrialResult> results = TrialRun.of(book, readable, at).stream()
                .collect(Collectors.toMap(result -> result.trial().id(), result -> result));
        return kept.stream()
                .map(each -> new Tried(
                        each, Optional.ofNullable(results.get(each.id().toString()))))
                .toList();
    }

    /** Nobody was answered before, and everybody outside has agreed. */
    DecisionContext context(Mailbox mailbox, AddressBook known) {
        return contexts.withEverybodyAgreed(mailbox, mailbox.contextOfInbox(known, clock.instant()));
    }

    private Optional<Trial> trial(KeptTrial kept, Mailbox mailbox, AddressBook known) {
        List<Trial> read = new ArrayList<>(1);
        Instant at = kept.written().at();
        Border.around(() -> read.add(new Trial(
                        kept.id().toString(),
                        new MessageView(
                                trials.message(kept),
                                mailbox.context(known, at, at, kept.written().conversation(), "INBOX", false)),
                        kept.expectations())))
                .ifPresent(failed -> LOG.warn("trial {} can't be read: {}", kept.id(), failed.words()));
        return read.stream().findFirst();
    }
}
