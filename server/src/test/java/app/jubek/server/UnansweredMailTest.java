package app.jubek.server;

import static app.jubek.core.step.StepState.FAILED;
import static app.jubek.core.step.StepState.SENT;
import static app.jubek.core.step.StepState.WITHHELD;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.plan.Reason;
import app.jubek.server.platform.Refused;
import app.jubek.server.step.StepView;
import app.jubek.server.step.StepView.Act;
import app.jubek.server.step.Work;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Mail that gets no answer and leaves the inbox does not vanish; a rule may move only what it answered. */
class UnansweredMailTest extends ServerTest {
    private static final String MOVES = "{'do':'reply','text':'Ten days ahead, please.'}";
    private static final String MOVES_ANSWERED =
            "{'do':'reply','text':'Ten days ahead, please.','keepsUnanswered':true}";

    private void ruleThat(String replies, String id, String word, String folder) {
        rules(rule(id, word, "stop here", step(replies), step("{'do':'file','folder':'" + folder + "'}")));
    }

    private static void fromAList(String subject) {
        String list = "From: l@list.example\r\nTo: visits@ostrel-gardens.example\r\nList-Id: <l.example>\r\nSubject: "
                + subject + "\r\n\r\nx\r\n";
        send("l@list.example", World.VISITS, list.getBytes(StandardCharsets.UTF_8));
    }

    private List<StepView> unseen(String rule) {
        return outbox.unseen(mailbox, Instant.EPOCH, 100).stream()
                .filter(step -> step.rule().equals(rule))
                .toList();
    }

    private void act(StepView step, Act act) {
        outbox.act(mailbox, step.id(), act, "Ilse Varga");
    }

    private boolean isDone(StepView step, Act act) {
        try {
            act(step, act);
            return true;
        } catch (Refused tooLate) {
            return false;
        }
    }

    private long replies(String rule) {
        return steps(rule).stream()
                .filter(s -> s.kind() == Work.REPLY && s.state() == SENT)
                .count();
    }

    /** Asked for by its subject: other tests leave large messages there. */
    private boolean isBackInTheInbox(String subject) {
        return !flags(World.VISITS, "INBOX", subject).isEmpty();
    }

    @Test
    void whatWasNotAnsweredAndFiledWaitsForAPersonWhoAnswersBringsBackOrLeavesIt() {
        ruleThat(MOVES, "unseen", "orchid", "Orchids");
        write("cleo@postbox.example", World.VISITS, "orchid one", "hello");
        await("the first is answered", () -> replies("unseen") == 1);
        write("cleo@postbox.example", World.VISITS, "orchid two", "hello");
        fromAList("orchid list");
        await("all are filed", () -> mail(World.VISITS, "Orchids").size() == 3);
        await("two wait", () -> unseen("unseen").size() == 2);
        StepView again = unseen("unseen").stream()
                .filter(s -> s.because().orElseThrow().is(Reason.ANSWERED_BEFORE))
                .findFirst()
                .orElseThrow();
        StepView list = unseen("unseen").stream()
                .filter(s -> s.because().orElseThrow().is(Reason.LIST))
                .findFirst()
                .orElseThrow();
        assertThat(again.acts()).containsExactly(Act.ANSWER_ANYWAY, Act.BRING_BACK, Act.LEAVE);
        assertThat(list.acts()).as("a list is never answered").containsExactly(Act.BRING_BACK, Act.LEAVE);

        assertThat(Stream.of(again, again)
                        .parallel()
                        .filter(step -> isDone(step, Act.ANSWER_ANYWAY))
                        .count())
                .as("two people click at the same moment")
                .isEqualTo(1);
        await("the second is answered, too", () -> replies("unseen") == 2);
        assertThat(mail("cleo@postbox.example", "INBOX")).hasSize(2);
        assertThatThrownBy(() -> act(again, Act.ANSWER_ANYWAY)).isInstanceOf(Refused.class);

        act(list, Act.BRING_BACK);
        await("it is back", () -> isBackInTheInbox("orchid list"));
        assertThat(unseen("unseen")).isEmpty();
        assertThat(steps("unseen"))
                .filteredOn(s -> s.state() == WITHHELD)
                .as("that they were withheld stays on record")
                .hasSize(2);
    }

    @Test
    void aRuleThatMovesWhatItAnsweredLeavesTheRestInTheInbox() {
        ruleThat(MOVES_ANSWERED, "keeps", "fern", "Ferns");
        write("dora@postbox.example", World.VISITS, "fern one", "hello");
        await("what was answered is filed", () -> mail(World.VISITS, "Ferns").size() == 1);
        write("dora@postbox.example", World.VISITS, "fern two", "hello");
        await("the second is decided", () -> notMoved("keeps") == 1);
        assertThat(isBackInTheInbox("fern two")).isTrue();
        assertThat(unseen("keeps")).isEmpty();

        StepView again = steps("keeps").stream()
                .filter(s -> s.kind() == Work.REPLY && s.state() == WITHHELD)
                .findFirst()
                .orElseThrow();
        assertThat(again.acts()).containsExactly(Act.ANSWER_ANYWAY);
        act(again, Act.ANSWER_ANYWAY);
        await("it is answered and then filed", () -> mail(World.VISITS, "Ferns").size() == 2);
        assertThat(replies("keeps")).isEqualTo(2);
    }

    @Test
    void filingWaitsUntilTheReplyIsAccepted() {
        ruleThat(MOVES_ANSWERED, "waits", "moss", "Mosses");
        World.get().office().bench().refuse("edda@postbox.example", 550, 9);
        write("edda@postbox.example", World.VISITS, "moss", "hello");
        await("the reply failed", () -> steps("waits").stream().anyMatch(s -> s.state() == FAILED));
        assertThat(isBackInTheInbox("moss")).isTrue();
        StepView failed = steps("waits").stream()
                .filter(s -> s.state() == FAILED)
                .findFirst()
                .orElseThrow();
        act(failed, Act.DISCARD);
        await("it is not filed then", () -> notMoved("waits") == 1);
        assertThat(isBackInTheInbox("moss")).isTrue();
    }

    private long notMoved(String rule) {
        return steps(rule).stream()
                .filter(s -> s.kind() == Work.FILE && s.state() == WITHHELD)
                .filter(s -> s.because().orElseThrow().is(Reason.NOT_ANSWERED))
                .count();
    }
}
