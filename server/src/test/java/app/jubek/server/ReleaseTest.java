package app.jubek.server;

import static app.jubek.core.step.StepState.DISCARDED;
import static app.jubek.core.step.StepState.HELD;
import static app.jubek.core.step.StepState.READY;
import static app.jubek.core.step.StepState.SENT;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.outgoing.EditedAnswer;
import app.jubek.core.plan.Reason;
import app.jubek.core.step.StepState;
import app.jubek.server.clearance.SentSoFar;
import app.jubek.server.platform.Refused;
import app.jubek.server.step.StepView;
import app.jubek.server.step.StepView.Act;
import app.jubek.server.step.Work;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Mail leaves when its rule says: after a while in which it can be stopped, or once a person has let it go. */
class ReleaseTest extends ServerTest {
    @Autowired
    SentSoFar sent;

    private void answers(String rule, String word, String release) {
        rules(rule(rule, word, "continue", step("{'do':'reply','text':'Gladly.'," + release + "}")));
    }

    private StepView reply(String rule, long message) {
        return steps(rule).stream()
                .filter(step -> step.kind() == Work.REPLY && step.message() == message)
                .findFirst()
                .orElseThrow();
    }

    private List<StepView> in(String rule, StepState state) {
        return steps(rule).stream().filter(step -> step.state() == state).toList();
    }

    private StepView act(StepView step, Act act) {
        return outbox.act(mailbox, step.id(), act, "Ilse Varga");
    }

    private void isTime(StepView step) {
        jdbc.sql("update step set release_at = now() - interval '1 second' where id = ?")
                .param(step.id())
                .update();
    }

    @Test
    void whatGoesOutAfterAWhileCanBeStoppedUntilThenAndLetGoAfterwards() {
        answers("later", "lobelia", "'afterMinutes':30");
        write("mina@postbox.example", World.VISITS, "lobelia one", "x");
        write("olof@postbox.example", World.VISITS, "lobelia two", "x");
        await("both wait for their time", () -> in("later", READY).size() == 2);
        StepView first = in("later", READY).get(0);
        StepView second = in("later", READY).get(1);
        assertThat(Duration.between(first.plannedAt(), first.releaseAt().orElseThrow()))
                .isEqualTo(Duration.ofMinutes(30));
        assertThat(first.acts()).containsExactly(Act.SEND_NOW, Act.STOP, Act.DISCARD);

        act(first, Act.STOP);
        isTime(first);
        isTime(second);
        await("the other one leaves", () -> in("later", SENT).size() == 1);
        StepView stopped = reply("later", first.message());
        assertThat(stopped.state()).isEqualTo(HELD);
        assertThat(stopped.because()).contains(Reason.STOPPED.with());

        act(stopped, Act.SEND_NOW);
        await("a person lets it go", () -> in("later", SENT).size() == 2);
        assertThat(reply("later", first.message()).releasedBy()).contains("Ilse Varga");
    }

    /** Between its planning and its time the world changes: it is looked at again. */
    @Test
    void whenItsTimeComesItIsLookedAtAgain() {
        answers("paused", "larkspur", "'afterMinutes':30");
        write("mina@postbox.example", World.VISITS, "larkspur", "x");
        await("it waits", () -> in("paused", READY).size() == 1);
        StepView waiting = in("paused", READY).get(0);
        rules();
        isTime(waiting);
        await(
                "it is withheld",
                () -> reply("paused", waiting.message())
                        .because()
                        .filter(Reason.RULE_SWITCHED_OFF.with()::equals)
                        .isPresent());
    }

    @Test
    void theFirstFiveWaitForAPersonAndThenItGoesByItself() {
        answers("first", "lupin", "'release':'first on approval'");
        for (int i = 0; i < 6; i++) {
            write("guest" + i + "@postbox.example", World.VISITS, "lupin " + i, "x");
        }
        await("all wait", () -> in("first", HELD).size() == 6);
        assertThat(in("first", HELD))
                .allSatisfy(step -> assertThat(step.because()).contains(Reason.APPROVAL.with()));
        in("first", HELD).stream().limit(5).forEach(step -> act(step, Act.SEND_NOW));
        await("five have left", () -> in("first", SENT).size() == 5);
        write("guest6@postbox.example", World.VISITS, "lupin 6", "x");
        await("the next one needs nobody", () -> in("first", SENT).size() == 6);
        assertThat(in("first", HELD)).as("what waited still waits").hasSize(1);
    }

    /** A rule that had to be corrected has not shown that it can do without a person. */
    @Test
    void anEditedAnswerIsAPersonsAndDoesNotCountAsTheRules() {
        rules(rule(
                "edited",
                "lychnis",
                "continue",
                step("{'do':'reply','text':'Gladly.','release':'on approval',"
                        + "'copies':['education@ostrel-gardens.example']}"),
                step("{'do':'file','folder':'Lychnis'}")));
        write("edda@postbox.example", World.VISITS, "lychnis", "x");
        await("it waits", () -> in("edited", HELD).size() == 1);
        StepView held = in("edited", HELD).get(0);
        assertThat(held.mayBeEdited()).isTrue();
        outbox.edit(mailbox, held.id(), new EditedAnswer("Lychnis, gladly", "Dear Edda"));
        act(held, Act.SEND_NOW);
        await(
                "it and its copy leave, and the message is filed",
                () -> in("edited", SENT).size() == 3);
        String[] got = inFolder("edda@postbox.example", "INBOX", messages -> seen(messages[0]));
        assertThat(got).containsExactly("Lychnis, gladly", "Dear Edda", "no Auto-Submitted", "<" + World.VISITS + ">");
        String copied = inFolder("education@ostrel-gardens.example", "INBOX", messages -> {
            for (Message message : messages) {
                if ("Copy: Lychnis, gladly".equals(message.getSubject())) {
                    return message.getContent().toString().strip();
                }
            }
            return "";
        });
        assertThat(copied).isEqualTo("Dear Edda");
        assertThat(sent.approved(mailbox, "edited", Work.REPLY)).isZero();
        assertThatThrownBy(() -> outbox.edit(mailbox, held.id(), new EditedAnswer("Again", "x")))
                .isInstanceOf(Refused.class);
    }

    private static String[] seen(Message message) throws MessagingException, IOException {
        return new String[] {
            message.getSubject(),
            message.getContent().toString().strip(),
            message.getHeader("Auto-Submitted") == null ? "no Auto-Submitted" : "Auto-Submitted",
            message.getHeader("Return-Path")[0]
        };
    }

    @Test
    void whatIsDiscardedWasNeverSentSoTheSenderMayGetAnAnswerLater() {
        answers("dropped", "lavatera", "'release':'on approval'");
        write("runa@postbox.example", World.VISITS, "lavatera one", "x");
        await("it waits", () -> in("dropped", HELD).size() == 1);
        act(in("dropped", HELD).get(0), Act.DISCARD);
        write("runa@postbox.example", World.VISITS, "lavatera two", "x");
        await("another waits", () -> in("dropped", HELD).size() == 1);
        assertThat(in("dropped", DISCARDED)).hasSize(1);
        assertThat(mail("runa@postbox.example", "INBOX")).isEmpty();
    }

    /** A person may let several go in one act; what somebody else was first with is told, and the others go. */
    @Test
    void severalAreLetGoInOneAct() {
        answers("several", "liatris", "'release':'on approval'");
        write("piotr@postbox.example", World.VISITS, "liatris one", "x");
        write("sanne@postbox.example", World.VISITS, "liatris two", "x");
        await("both wait", () -> in("several", HELD).size() == 2);
        List<StepView> held = in("several", HELD);
        act(held.get(0), Act.DISCARD);
        String ids = "[\"" + held.get(0).id() + "\",\"" + held.get(1).id() + "\"]";
        String told = new Browser(port)
                .signedIn("ilse", "greenhouse")
                .send("POST", "/api/mailboxes/" + mailbox + "/waiting/SEND_NOW", ids, "application/json")
                .body();
        assertThat(told).isEqualTo("{\"done\":1,\"left\":1}");
        await("the other leaves", () -> in("several", SENT).size() == 1);
    }
}
