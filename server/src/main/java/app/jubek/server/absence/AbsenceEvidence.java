package app.jubek.server.absence;

import app.jubek.core.absence.Absence;
import app.jubek.core.absence.AbsenceRules;
import app.jubek.core.absence.LookBack;
import app.jubek.core.absence.Standing;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.evidence.Evidence;
import app.jubek.core.evidence.Rehearsed;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.Sending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import app.jubek.server.deciding.DecisionContexts;
import app.jubek.server.pastmail.PastMail;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What an absence would have done to the mail of the last days. */
@Component
class AbsenceEvidence {
    private static final int LEAST_DAYS = 7;
    private static final int MOST_DAYS = 30;
    private static final int LISTED = 50;

    private final PastMail pastMail;
    private final DecisionContexts contexts;
    private final AbsenceTail tail;

    AbsenceEvidence(PastMail pastMail, DecisionContexts contexts, AbsenceTail tail) {
        this.pastMail = pastMail;
        this.contexts = contexts;
        this.tail = tail;
    }

    /**
     * @param messages the newest first, of many the first fifty
     */
    record FateCount(LookBack.Fate fate, int count, List<PastMail.Line> messages) {}

    /** An answer as one of these senders would get it, on the first day. */
    record AwayAnswer(String to, String subject, String text) {}

    record LookedBack(int days, int messages, List<FateCount> counts, Optional<AwayAnswer> sample) {}

    LookedBack look(UUID mailbox, Absence absence, Standing standing) {
        int days = Math.min(Math.max(absence.days(), LEAST_DAYS), MOST_DAYS);
        PastMail.Window window = pastMail.window(mailbox, days);
        List<Rule> rules =
                new AbsenceRules(absence, standing, window.mailbox().own(), tail.names(absence)).in(window.book());
        RuleBook book = new RuleBook(window.book().rules(), window.book().fence(), rules);
        LookBack back = new LookBack();
        rules.forEach(rule -> note(window, book, rule, back));
        Map<Long, PastMessage> messages = new HashMap<>();
        for (int at = 0; at < window.past().size(); at++) {
            messages.put(window.past().message(at).id(), window.past().message(at));
        }
        List<FateCount> counts = new ArrayList<>();
        for (LookBack.Fate fate : LookBack.Fate.values()) {
            List<Long> ids = back.of(fate);
            counts.add(new FateCount(
                    fate,
                    ids.size(),
                    ids.stream()
                            .limit(LISTED)
                            .map(id -> PastMail.Line.of(messages.get(id)))
                            .toList()));
        }
        Optional<AwayAnswer> sample = back.of(LookBack.Fate.ANSWERED).stream()
                .findFirst()
                .flatMap(id -> sample(window, book, messages.get(id), absence));
        return new LookedBack(days, window.past().size(), counts, sample);
    }

    private void note(PastMail.Window window, RuleBook book, Rule rule, LookBack back) {
        Evidence evidence =
                Evidence.of(book, rule.id(), window.past(), window.mailbox().opening());
        Rehearsed rehearsed = window.rehearsed(evidence, contexts.ofRehearsal(window.mailbox(), window.now()));
        evidence.results().forEach(result -> back.note(result.message().id(), rehearsed.decision(result), rule.id()));
    }

    /** The same message on the first day, for the words of that time. */
    private Optional<AwayAnswer> sample(PastMail.Window window, RuleBook book, PastMessage message, Absence absence) {
        MessageView seen = message.seen();
        Instant first = absence.first().atStartOfDay(window.mailbox().zone()).toInstant();
        MessageContext then = window.mailbox().context(seen.context().people(), first, first, false, "INBOX", false);
        DecisionContext at = contexts.withEverybodyAgreed(window.mailbox(), then);
        RuleBook alone = new RuleBook(List.of(), book.fence(), book.tail());
        Decision decision = Engine.decide(CompiledBook.of(alone), seen.message(), at);
        return Stream.concat(
                        decision.planned().stream(),
                        decision.notDone().stream().filter(NotDone::waits).map(NotDone::planned))
                .filter(step -> step.step() instanceof Step.Reply)
                .flatMap(step -> step.sending().stream())
                .map(sending -> sample(sending, seen))
                .findFirst();
    }

    private static AwayAnswer sample(Sending sending, MessageView answered) {
        String subject = Step.Reply.subject(
                sending.letter().subject(), answered.message().subject());
        return new AwayAnswer(sending.to().address(), subject, sending.letter().text());
    }
}
