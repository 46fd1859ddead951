package app.jubek.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.decide.Decision;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.Reason;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.schedule.Opening;
import app.jubek.core.step.Step;
import app.jubek.core.view.MessageView;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What an evidence says is what would be done. */
class RehearsedTest {
    private static final Instant BEGIN = Mails.NOW.minus(Duration.ofDays(30));
    private static final Step REPLY = new Step.Reply("", "Thank you.", Duration.ofDays(7));

    private final Corpus corpus = new Corpus(50, Long.MAX_VALUE);
    private final Answerable answerable = new Answerable();
    private int count;

    private void mail(int day, String sender, String... fields) {
        Instant received = BEGIN.plus(Duration.ofDays(day));
        MessageView seen = new MessageView(
                Mails.read(Mails.from(sender, "A question", "", fields)),
                Mails.at(Mails.NOW, received, ReplyHistory.empty(), java.util.Map.of())
                        .context());
        corpus.add(new PastMessage(count++, received, seen));
    }

    private Rehearsed rehearsed(Step... steps) {
        Rule edited = new Rule(
                new RuleId("r"), 1, "r", new Everything(), new Nothing(), List.of(steps), Ending.CONTINUE, true);
        evidence = Evidence.of(
                RuleBook.of(List.of(edited)), edited.id(), corpus.since(BEGIN), Opening.usual(ZoneOffset.UTC));
        return Rehearsed.of(evidence, Mails.at(Mails.NOW, ReplyHistory.empty()), answerable);
    }

    private Evidence evidence;

    private List<Reason> notDone(Rehearsed rehearsed) {
        return evidence.results().stream()
                .map(rehearsed::decision)
                .flatMap(decision -> decision.notDone().stream())
                .map(NotDone::reason)
                .toList();
    }

    @Test
    void whoWasAnsweredIsNotAnsweredAgainWithinTheInterval() {
        mail(1, "anna@school.example");
        mail(3, "anna@school.example");
        mail(3, "bo@school.example");
        mail(9, "anna@school.example");
        Rehearsed rehearsed = rehearsed(REPLY);
        assertThat(rehearsed.answered()).hasValue(3);
        assertThat(notDone(rehearsed)).containsExactly(Reason.ANSWERED_BEFORE);
    }

    @Test
    void automaticMailAndOutsideAddressesAreSaidToBeKeptBack() {
        mail(1, "anna@school.example");
        mail(2, "machine@school.example", "Auto-Submitted: auto-generated");
        Rehearsed rehearsed = rehearsed(REPLY, new Step.Redirect(List.of(MailAddress.of("a@far.example"))));
        assertThat(rehearsed.answered()).hasValue(1);
        assertThat(notDone(rehearsed)).containsExactly(Reason.AUTOMATIC, Reason.OUTSIDE, Reason.OUTSIDE);
        Decision older = rehearsed.decision(evidence.results().get(1));
        assertThat(older.planned())
                .extracting(step -> step.step().kind().name())
                .containsExactly("REPLY");
    }

    @Test
    void aRuleThatAnswersNothingSaysNoNumber() {
        mail(1, "anna@school.example");
        assertThat(rehearsed(new Step.File("Seeds")).answered()).isEmpty();
    }
}
