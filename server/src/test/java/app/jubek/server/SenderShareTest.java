package app.jubek.server;

import static app.jubek.core.step.StepState.HELD;
import static app.jubek.core.step.StepState.SENT;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.Reason;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** A stranger who writes without end uses up no more than a share of what may leave. */
class SenderShareTest extends ServerTest {
    private void share(int messages) {
        jdbc.sql("update mailbox set sender_limit = ? where id = ?")
                .param(messages)
                .param(mailbox)
                .update();
    }

    @AfterEach
    void everybodyHasRoomAgain() {
        share(1_000);
    }

    @Test
    void whatOneSenderCausesBeyondItsShareIsHeldAndMailOfOthersGoesOn() {
        share(3);
        rules(rule("share", "mandrake", "continue", step("{'do':'redirect','to':['duty@ostrel-gardens.example']}")));
        for (int i = 0; i < 6; i++) {
            write("stranger@floods.example", World.VISITS, "mandrake " + i, "x");
        }
        await("the rest is held", () -> count("share", HELD) == 3 && count("share", SENT) == 3);
        assertThat(steps("share").stream().filter(step -> step.state() == HELD))
                .allSatisfy(step -> assertThat(step.because()).contains(Reason.SENDER_LIMIT.with()));
        write("anna@mandrakeschool.example", World.VISITS, "mandrake, please", "x");
        await("anna's mail goes on", () -> count("share", SENT) == 4);
        Browser ilse = new Browser(port).signedIn("ilse", "greenhouse");
        assertThat(ilse.get("/api/mailboxes/" + mailbox + "/limits").toString())
                .contains("\"held\":3")
                .contains("SENDER_LIMIT");
    }

    private long count(String rule, app.jubek.core.step.StepState state) {
        return steps(rule).stream().filter(step -> step.state() == state).count();
    }
}
