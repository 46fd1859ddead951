package app.jubek.core.realtest;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class FollowingTest {
    private static final Instant SENT = Instant.parse("2026-03-02T09:00:00Z");
    private static final Duration LATE = Following.PATIENCE.plusSeconds(1);
    private static final Statement DOES = new Statement("DOES", List.of());
    private static final Statement WHY = new Statement("WHY", List.of());
    private static final String SEEDS = "seeds@ostrel-gardens.example";

    private static Following.Step step(String recipient, StepState state) {
        return new Following.Step(DOES, recipient, state, Optional.of(SENT.plusSeconds(4)), Optional.of(WHY));
    }

    private static Following after(Duration passed, List<Following.Step> steps, Following.Seen... seen) {
        return new Following(
                SENT,
                Optional.empty(),
                Optional.of(SENT.plusSeconds(2)),
                steps,
                List.of(seen),
                Set.of(SEEDS),
                SENT.plus(passed));
    }

    private static Following notComeIn(Optional<Statement> fault, Duration passed) {
        return new Following(SENT, fault, Optional.empty(), List.of(), List.of(), Set.of(), SENT.plus(passed));
    }

    private static List<Statement> told(Following following) {
        return following.lines().stream().map(Following.Line::how).toList();
    }

    private static Statement last(StepState state, String recipient, Duration passed, Following.Seen... seen) {
        return told(after(passed, List.of(step(recipient, state)), seen)).get(1);
    }

    @Test
    void untilItComesInOnlyThatIsToldAndAfterFiveMinutesThatItIsStuck() {
        assertThat(told(notComeIn(Optional.empty(), Duration.ofSeconds(9))))
                .containsExactly(RealTestPhrase.ON_ITS_WAY.with());
        assertThat(told(notComeIn(Optional.empty(), LATE))).containsExactly(RealTestPhrase.NOT_COME_IN.with(5L));
        assertThat(told(notComeIn(Optional.of(WHY), LATE))).containsExactly(RealTestPhrase.NOT_SENT.with(WHY));
    }

    @Test
    void whatLeavesIsFollowedAsFarAsAMailboxIsReadHere() {
        assertThat(last(StepState.SENT, "lena@school.example", LATE)).isEqualTo(RealTestPhrase.LEFT_US.with(4L));
        assertThat(last(StepState.SENT, SEEDS, Duration.ofSeconds(9))).isEqualTo(RealTestPhrase.NOT_YET_AT.with(SEEDS));
        assertThat(last(StepState.SENT, SEEDS, LATE.plusSeconds(4)))
                .isEqualTo(RealTestPhrase.NOT_SEEN_AT.with(SEEDS, 5L));
        var seen =
                new Following.Seen(Set.of(SEEDS), "visits@ostrel-gardens.example", "Fwd: ferns", SENT.plusSeconds(7));
        assertThat(last(StepState.SENT, SEEDS, LATE, seen))
                .isEqualTo(RealTestPhrase.SEEN_AT.with(SEEDS, 7L, "visits@ostrel-gardens.example", "Fwd: ferns"));
    }

    @Test
    void whatFailsIsStuckWithItsReasonWhatWaitsForAPersonIsOpenAndWhatIsWithheldHasEnded() {
        assertThat(Following.isOpen(
                        after(LATE, List.of(step(SEEDS, StepState.HELD))).lines()))
                .isTrue();
        assertThat(last(StepState.HELD, SEEDS, LATE)).isEqualTo(RealTestPhrase.WAITS_AS.with(WHY));
        assertThat(last(StepState.FAILED, SEEDS, LATE)).isEqualTo(RealTestPhrase.FAILED_AS.with(WHY));
        assertThat(last(StepState.WITHHELD, SEEDS, LATE)).isEqualTo(RealTestPhrase.NOT_DONE_AS.with(WHY));
        assertThat(last(StepState.READY, SEEDS, LATE.plusSeconds(2))).isEqualTo(RealTestPhrase.NOT_DONE_IN.with(5L));
        assertThat(Following.isOpen(
                        after(LATE, List.of(step(SEEDS, StepState.WITHHELD))).lines()))
                .isFalse();
        assertThat(Following.isOpen(after(Duration.ofSeconds(9), List.of(step("", StepState.READY)))
                        .lines()))
                .isTrue();
    }
}
