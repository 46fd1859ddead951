package app.jubek.server;

import static app.jubek.core.step.StepState.READY;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.server.step.StepView;
import app.jubek.server.step.Work;
import app.jubek.server.stop.Stops;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** One act holds back everything that leaves; the rest goes on, and nothing is lost. */
class StopTest extends ServerTest {
    private static final String PAULA = "paula@postbox.example";
    private static final String PIET = "piet@postbox.example";

    @Autowired
    private Stops stops;

    @AfterEach
    void release() {
        stops.release(mailbox, "Ilse Varga");
    }

    private long left() {
        return mail(PAULA, "INBOX").size() + mail(PIET, "INBOX").size();
    }

    @Test
    void whileItIsStoppedMailIsFiledAndMarkedAndWhatWouldLeaveWaits() {
        rules(rule(
                "stopped",
                "pumpkin",
                "continue",
                step("{'do':'reply','text':'They are ripe in October.'}"),
                step("{'do':'forward','to':['education@ostrel-gardens.example']}"),
                step("{'do':'file','folder':'Pumpkins'}")));
        stops.stop(List.of(mailbox), "Ilse Varga");
        stops.stop(List.of(mailbox), "Tomas Ek");
        assertThat(stops.of(mailbox).orElseThrow().who())
                .as("the first one stands")
                .isEqualTo("Ilse Varga");
        write(PAULA, World.VISITS, "pumpkin one", "hello");
        write(PIET, World.VISITS, "pumpkin two", "hello");
        await("both are filed", () -> mail(World.VISITS, "Pumpkins").size() == 2);
        assertThat(steps("stopped"))
                .filteredOn(step -> Set.of(Work.REPLY, Work.FORWARD).contains(step.kind()))
                .hasSize(4)
                .extracting(StepView::state)
                .containsOnly(READY);
        assertThat(left()).isZero();

        stops.release(mailbox, "Ilse Varga");
        await("both are answered", () -> left() == 2);
        assertThat(stops.of(mailbox)).isEmpty();
    }
}
