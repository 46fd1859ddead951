package app.jubek.demo.garden;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.rehearsal.Rehearsal;
import app.jubek.core.rehearsal.Side;
import app.jubek.core.rehearsal.Watch;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.safety.HopMark;
import app.jubek.core.schedule.Opening;
import app.jubek.core.step.StepKind;
import app.jubek.core.trial.Expectation;
import app.jubek.core.trial.Trial;
import app.jubek.core.trial.TrialRun;
import app.jubek.core.view.MessageView;
import app.jubek.formats.rulebook.RuleBookJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Over the garden's whole mailbox: what is rehearsed, what a trial says, and what is decided when a message comes in. */
class GardenRehearsalTest {
    private static final DecisionContext AT = DecisionContext.tryingOut(
            GardenPast.MESSAGES.get(0).seen().context(), Opening.usual(GardenMail.ZONE), new HopMark(new byte[32]));

    /** Of who was answered before only the rehearsal knows; where it withholds a reply for that, the others can't. */
    private static boolean isAnsweredBefore(Decision rehearsed) {
        return rehearsed.notDone().stream().anyMatch(not -> not.planned().step().kind() == StepKind.REPLY);
    }

    @Test
    void rehearsalTrialAndRealMailDecideTheSame() throws IOException {
        RuleBook book = RuleBookJson.read(Files.readString(Path.of("ostrel-gardens/rule-book.json")));
        Corpus.View past = GardenPast.evidence();
        Side garden = new Side(book, AT);
        Rehearsal made = Rehearsal.of(past, new Side(RuleBook.empty(), AT), garden, Watch.NOBODY)
                .orElseThrow();
        CompiledBook compiled = CompiledBook.of(book);
        List<Expectation> any = List.of(Expectation.picked(book.rules().get(0).id(), true));
        List<Trial> trials = IntStream.range(0, past.size())
                .mapToObj(at -> new Trial("" + at, past.message(at).seen(), any))
                .toList();
        List<Decision> tried = TrialRun.of(book, trials, AT).stream()
                .map(result -> result.decision())
                .toList();
        int compared = 0;
        for (int at = 0; at < past.size(); at++) {
            MessageView seen = past.message(at).seen();
            Decision real = Engine.decide(compiled, seen.message(), AT.of(seen.context()));
            assertThat(said(tried.get(at))).isEqualTo(said(real));
            Decision rehearsed = made.after().decision(at);
            assertThat(made.after().fate(at)).isEqualTo(garden.fate(rehearsed));
            if (!isAnsweredBefore(rehearsed)) {
                assertThat(said(rehearsed)).isEqualTo(said(real));
                compared++;
            }
        }
        assertThat(compared).as("of " + past.size()).isGreaterThan(past.size() * 9 / 10);
    }

    private static List<Object> said(Decision decision) {
        return List.of(decision.planned(), decision.notDone(), decision.staysInInbox());
    }
}
