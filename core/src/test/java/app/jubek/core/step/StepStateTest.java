package app.jubek.core.step;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

class StepStateTest {
    @Test
    void nothingIsSentThatWasNotMarkedAsBeingSentBefore() {
        assertThat(Arrays.stream(StepState.values()).filter(s -> s.mayBecome(StepState.SENT)))
                .containsExactly(StepState.SENDING, StepState.UNCERTAIN);
        assertThat(StepState.HELD.mayBecome(StepState.SENDING)).isFalse();
    }

    /** Somebody may have moved or deleted the message while we were about to. */
    @Test
    void workInAFolderMayTurnOutToBeNeedless() {
        assertThat(StepState.SENDING.mayBecome(StepState.DISCARDED)).isTrue();
        assertThat(StepState.SENT.mayBecome(StepState.DISCARDED)).isFalse();
    }

    @Test
    void whatWasWithheldForSafetyStaysWithheld() {
        assertThat(Arrays.stream(StepState.values()).noneMatch(StepState.WITHHELD::mayBecome))
                .isTrue();
        assertThatThrownBy(() -> StepState.WITHHELD.become(StepState.READY)).hasMessageContaining("can't become");
    }
}
