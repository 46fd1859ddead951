package app.jubek.server.absence;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.absence.Absence;
import app.jubek.core.absence.Audience;
import app.jubek.core.absence.Standing;
import app.jubek.core.absence.TakingOver;
import app.jubek.core.address.MailAddress;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What a substitute is asked and told, as an absence changes. */
class AbsenceEntityTest {
    private static final LocalDate FIRST = LocalDate.parse("2026-12-07");
    private static final LocalDate LAST = LocalDate.parse("2026-12-11");
    private static final Instant LATER = Instant.parse("2026-12-06T09:15:00Z");
    private static final String ID = UUID.randomUUID().toString();

    private static Absence absence(LocalDate last, String substitute) {
        MailAddress who = MailAddress.of(substitute + "@ostrel-gardens.example");
        return new Absence(
                ID,
                FIRST,
                last,
                new Absence.Answer(Audience.NOBODY, List.of(), List.of()),
                Optional.of(new TakingOver(who, TakingOver.Share.ALL, List.of(), true, 3)));
    }

    private static AbsenceEntity agreed() {
        AbsenceEntity stored = new AbsenceEntity(UUID.randomUUID(), absence(LAST, "noor"), "Ilse Varga");
        assertThat(stored.note()).contains(Note.ASK);
        stored.told("digest");
        assertThat(stored.standing()).isEqualTo(Standing.ASKED);
        stored.answered(true);
        return stored;
    }

    @Test
    void aYesIsForTheseDaysUntilItIsUnderWay() {
        AbsenceEntity before = agreed();
        before.change(absence(LAST.plusDays(1), "noor"), FIRST.minusDays(1));
        assertThat(before.standing()).isEqualTo(Standing.NOT_ASKED);
        assertThat(before.note()).contains(Note.ASK);

        AbsenceEntity during = agreed();
        during.change(absence(LAST.plusDays(1), "noor"), FIRST);
        assertThat(during.standing()).isEqualTo(Standing.AGREED);
        assertThat(during.note()).contains(Note.CHANGED);
    }

    @Test
    void fewerDaysAreToldAndAnotherSubstituteIsAsked() {
        AbsenceEntity shorter = agreed();
        shorter.change(absence(LAST.minusDays(1), "noor"), FIRST.minusDays(1));
        assertThat(shorter.standing()).isEqualTo(Standing.AGREED);
        assertThat(shorter.note()).contains(Note.CHANGED);
        assertThat(shorter.calledOff().note()).contains(Note.CALLED_OFF);
        shorter.change(absence(LAST, "tomas"), FIRST.minusDays(1));
        assertThat(shorter.standing()).isEqualTo(Standing.NOT_ASKED);
        assertThat(shorter.note()).contains(Note.ASK);
    }

    @Test
    void whoHasAnsweredIsNotAskedAgainAndWhoWasToldLearnsOfTheReturn() {
        AbsenceEntity stored = agreed();
        stored.change(absence(LAST.plusDays(1), "noor"), FIRST.minusDays(1));
        stored.answered(true);
        assertThat(stored.note()).isEmpty();
        stored.end(LATER);
        assertThat(stored.note()).contains(Note.BACK);
    }

    @Test
    void aNoteThatDidNotLeaveIsTriedLaterAndOneThatIsRefusedIsNot() {
        AbsenceEntity stored = new AbsenceEntity(UUID.randomUUID(), absence(LAST, "noor"), "Ilse Varga");
        stored.told("digest");
        stored.tellAgain(Note.ASK, LATER);
        assertThat(stored.note()).contains(Note.ASK);
        assertThat(stored.standing()).isEqualTo(Standing.NOT_ASKED);
        stored.told("digest");
        stored.unreached();
        assertThat(stored.note()).isEmpty();
        assertThat(stored.standing()).isEqualTo(Standing.UNREACHED);
    }
}
