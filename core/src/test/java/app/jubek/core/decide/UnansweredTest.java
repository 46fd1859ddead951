package app.jubek.core.decide;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A message that gets no answer stays where somebody sees it, when its rule moves only what it answered. */
class UnansweredTest {
    private static final String WRITTEN = Mails.from("anna@school.example", "permit", "May we?");
    private static final String FROM_A_LIST =
            Mails.from("anna@school.example", "permit", "May we?", "List-Id: <plants.example>");

    private static Rule answering(String id, boolean keepsUnanswered, Step... more) {
        ReplyOptions options = ReplyOptions.usual(ReplyFrequency.PRESET).keepingUnanswered(keepsUnanswered);
        Step reply = new Step.Reply(Optional.empty(), "", "Thank you.", options);
        return rule(id, Stream.concat(Stream.of(more), Stream.of(reply)).toArray(Step[]::new));
    }

    private static Rule rule(String id, Step... steps) {
        return new Rule(new RuleId(id), 1, id, new Everything(), new Nothing(), List.of(steps), Ending.CONTINUE, true);
    }

    private static Decision decide(String mail, Rule... rules) {
        return Engine.decide(CompiledBook.of(RuleBook.of(List.of(rules))), Mails.read(mail), Mails.context());
    }

    private static List<StepKind> done(Decision decision) {
        return decision.planned().stream()
                .map(PlannedStep::step)
                .map(Step::kind)
                .toList();
    }

    @Test
    void whatIsNotAnsweredIsNotMovedEither() {
        Rule permits = answering("permits", true, new Step.File("Permits"), new Step.Copy("Copies"));
        assertThat(done(decide(WRITTEN, permits))).containsExactly(StepKind.REPLY, StepKind.COPY, StepKind.FILE);
        Decision list = decide(FROM_A_LIST, permits);
        assertThat(done(list)).containsExactly(StepKind.COPY);
        assertThat(list.staysInInbox()).isTrue();
        assertThat(list.notDone()).extracting(NotDone::reason).containsExactly(Reason.LIST, Reason.NOT_ANSWERED);
    }

    @Test
    void aRuleThatDoesNotAskForItMovesAllTheSame() {
        Decision list = decide(FROM_A_LIST, answering("permits", false, new Step.File("Permits")));
        assertThat(done(list)).containsExactly(StepKind.FILE);
    }

    @Test
    void whatAnotherRuleAnsweredOrAlsoMovesIsMoved() {
        Decision superseded =
                decide(WRITTEN, answering("first", true), answering("permits", true, new Step.File("Permits")));
        assertThat(done(superseded)).as("the first rule answered").containsExactly(StepKind.REPLY, StepKind.FILE);
        Decision both = decide(
                FROM_A_LIST,
                answering("permits", true, new Step.File("Permits")),
                rule("all", new Step.File("Permits")));
        assertThat(done(both)).as("another rule wants it there").containsExactly(StepKind.FILE);
    }
}
