package app.jubek.server.trial;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.explain.Hits;
import app.jubek.core.message.ByteSource;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.sample.SampleMessage;
import app.jubek.core.trial.Expectation;
import app.jubek.core.trial.Trial;
import app.jubek.core.trial.TrialResult;
import app.jubek.core.trial.TrialRun;
import app.jubek.core.view.MessageView;
import app.jubek.formats.trial.WrittenTrial;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.intake.Messages;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Makes trials of messages: what must happen is what does happen, unless that is what must not be. */
@Component
class NewTrials {
    /** Any message that is kept can become a trial, whatever the evidence window. */
    private static final int LONGEST = 180;

    private final Trials trials;
    private final TrialRuns runs;
    private final PastMail pastMail;
    private final AddressBooks people;
    private final Messages messages;

    NewTrials(Trials trials, TrialRuns runs, PastMail pastMail, AddressBooks people, Messages messages) {
        this.trials = trials;
        this.runs = runs;
        this.pastMail = pastMail;
        this.people = people;
        this.messages = messages;
    }

    /** A rule among the others, and the past mail beside them. */
    record OfRule(PastMail.Window window, RuleBook book, RuleId rule) {
        /** What a rule does that is only being made says nothing of what it is to do. */
        boolean doesSomething() {
            return book.find(rule).filter(found -> !found.steps().isEmpty()).isPresent();
        }
    }

    OfRule draft(UUID mailbox, Rule draft, int order) {
        PastMail.Window window = pastMail.window(mailbox, LONGEST);
        return new OfRule(window, window.withRule(draft, order), draft.id());
    }

    OfRule live(UUID mailbox, RuleId rule) {
        PastMail.Window window = pastMail.window(mailbox, LONGEST);
        window.book().find(rule).orElseThrow(Refused::notFound);
        return new OfRule(window, window.book(), rule);
    }

    UUID keep(OfRule of, long message, boolean picked, String who) {
        PastMessage past = of.window().past().message(of.window().place(message));
        return keep(of, past.seen(), messages.bytes(message), picked, who);
    }

    UUID keep(OfRule of, SampleMessage made, boolean picked, String who) {
        var mailbox = of.window().mailbox();
        MessageView seen = made.view(
                mailbox.own().identity(),
                mailbox.contextOfInbox(people.of(mailbox.id()), of.window().now()));
        return keep(of, seen, made.bytes(mailbox.own().identity()), picked, who);
    }

    private UUID keep(OfRule of, MessageView seen, ByteSource bytes, boolean picked, String who) {
        Expectation wanted = Expectation.picked(of.rule(), picked);
        TrialResult now = run(of, new Trial("new", seen, List.of(wanted)));
        List<Expectation> expectations =
                now.holds() && of.doesSomething() ? Expectation.asDecided(of.rule(), now.decision()) : List.of(wanted);
        WrittenTrial written = new WrittenTrial(
                MissingTrials.name(seen.message().subject()),
                seen.context().received(),
                seen.context().conversation(),
                expectations);
        return trials.keep(of.window().mailbox().id(), written, bytes, who);
    }

    private TrialResult run(OfRule of, Trial trial) {
        UUID mailbox = of.window().mailbox().id();
        return TrialRun.of(of.book(), List.of(trial), runs.context(of.window().mailbox(), people.of(mailbox)))
                .get(0);
    }

    void accept(UUID mailbox, UUID id) {
        TrialRuns.Tried tried = runs.current(mailbox).tried().stream()
                .filter(each -> each.kept().id().equals(id))
                .findFirst()
                .orElseThrow(Refused::notFound);
        TrialResult result = tried.result()
                .orElseThrow(
                        () -> Refused.invalid("Its message can't be judged: remove it, or write it anew.", List.of()));
        WrittenTrial was = tried.kept().written();
        trials.change(
                mailbox, id, new WrittenTrial(was.name(), was.at(), was.conversation(), now(tried.kept(), result)));
    }

    private static List<Expectation> now(KeptTrial kept, TrialResult result) {
        return kept.rule()
                .map(rule -> Expectation.asDecided(new RuleId(rule), result.decision()))
                .orElseGet(() -> kept.expectations().stream()
                        .map(each -> each.isMet(result.decision())
                                ? each
                                : new Expectation(each.fate(), each.of(), !each.must()))
                        .toList());
    }

    /** What of the words that its rule lists stand in its message. */
    List<String> hits(TrialRuns.Tried tried, RuleBook book) {
        Optional<Rule> rule = tried.kept().rule().flatMap(id -> book.find(new RuleId(id)));
        return tried.result()
                .flatMap(result ->
                        rule.map(of -> Hits.of(of.picksOut(), result.trial().seen())))
                .orElse(List.of());
    }
}
