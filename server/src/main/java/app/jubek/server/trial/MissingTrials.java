package app.jubek.server.trial;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.trial.Case;
import app.jubek.core.trial.Coverage;
import app.jubek.core.trial.Trial;
import app.jubek.core.trial.TrialResult;
import app.jubek.formats.trial.WrittenTrial;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.intake.Messages;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What the trials of each rule show, and the messages that would show the rest. */
@Component
class MissingTrials {
    private static final int LONGEST_NAME = 200;

    private final Trials trials;
    private final TrialRuns runs;
    private final PastMail pastMail;
    private final AddressBooks people;
    private final Messages messages;
    private final Mailboxes mailboxes;

    MissingTrials(
            Trials trials,
            TrialRuns runs,
            PastMail pastMail,
            AddressBooks people,
            Messages messages,
            Mailboxes mailboxes) {
        this.trials = trials;
        this.runs = runs;
        this.pastMail = pastMail;
        this.people = people;
        this.messages = messages;
        this.mailboxes = mailboxes;
    }

    /** What the trials of each rule show, in the order of the rules. */
    List<Coverage> covered(UUID mailbox, RuleBook book) {
        List<Trial> kept = kept(mailbox);
        DecisionContext at = runs.context(mailboxes.find(mailbox), people.of(mailbox));
        return book.rules().stream().map(rule -> Coverage.of(rule, kept, at)).toList();
    }

    private List<Trial> kept(UUID mailbox) {
        return runs.current(mailbox).tried().stream()
                .flatMap(tried -> tried.result().stream())
                .map(TrialResult::trial)
                .toList();
    }

    /**
     * @param days how far back messages are looked for
     */
    Looked in(UUID mailbox, int days) {
        PastMail.Window window = pastMail.window(mailbox, days);
        return new Looked(window, kept(mailbox), runs.context(window.mailbox(), people.of(mailbox)));
    }

    /** Past mail and the trials of one moment. */
    record Looked(PastMail.Window window, List<Trial> kept, DecisionContext at) {
        /**
         * @throws Refused as not found
         */
        Coverage coverage(RuleId id) {
            Rule rule = window.book().find(id).orElseThrow(Refused::notFound);
            return Coverage.of(window.book(), rule, kept, window.past(), at);
        }

        PastMessage message(long id) {
            return window.past().message(window.place(id));
        }
    }

    /**
     * Keeps the messages that are proposed for some cases of a rule.
     *
     * @param keys of the cases; those that are shown meanwhile are passed over
     * @return how many were kept: one may show several cases
     */
    int keep(UUID mailbox, int days, RuleId id, Collection<String> keys, String who) {
        Looked looked = in(mailbox, days);
        Set<String> wanted = Set.copyOf(keys);
        List<Case.Proposal> proposals = looked.coverage(id).cases().stream()
                .filter(one -> wanted.contains(one.key()))
                .flatMap(one -> one.proposal().stream())
                .distinct()
                .toList();
        proposals.forEach(proposal -> keep(looked, proposal, who));
        return proposals.size();
    }

    private void keep(Looked looked, Case.Proposal proposal, String who) {
        UUID mailbox = looked.window().mailbox().id();
        if (proposal instanceof Case.Real real) {
            PastMessage message = looked.message(real.message());
            WrittenTrial written = new WrittenTrial(
                    name(message.subject()), real.at(), message.seen().context().conversation(), real.expectations());
            trials.keep(mailbox, written, messages.bytes(real.message()), who);
        } else if (proposal instanceof Case.Invented invented) {
            WrittenTrial written = new WrittenTrial(
                    name(invented.sample().subject()),
                    invented.sample().received().orElseThrow(),
                    false,
                    invented.expectations());
            trials.keep(
                    mailbox,
                    written,
                    invented.sample().bytes(looked.window().mailbox().own().identity()),
                    who);
        }
    }

    /** A trial is called by its message's subject. */
    static String name(String subject) {
        String shown = subject.isBlank() ? "(no subject)" : subject;
        return shown.substring(0, Math.min(shown.length(), LONGEST_NAME));
    }
}
