package app.jubek.core.people;

import static app.jubek.core.people.Agreement.ASKED;
import static app.jubek.core.people.Agreement.DECLINED;
import static app.jubek.core.people.Agreement.LAPSED;
import static app.jubek.core.people.Agreement.OBJECTED;
import static app.jubek.core.people.Agreement.TOLD;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Agreement.Event;
import app.jubek.core.plan.Reason;
import app.jubek.core.safety.Clearance;
import app.jubek.core.safety.Outgoing;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** An address outside gets mail when it agreed, or somebody answers for it, and not a moment longer. */
class AgreementTest {
    private static final MailAddress MARA = MailAddress.of("mara@postbox.example");
    private static final MailAddress EDUCATION = MailAddress.of("Education@Ostrel-Gardens.example");

    private static List<List<Event>> ordersOf(int events) {
        List<List<Event>> all = List.of(List.of());
        for (int i = 0; i < events; i++) {
            List<List<Event>> longer = new ArrayList<>();
            for (List<Event> order : all) {
                for (Event event : Event.values()) {
                    longer.add(IntStream.range(0, order.size() + 1)
                            .mapToObj(at -> at < order.size() ? order.get(at) : event)
                            .toList());
                }
            }
            all = longer;
        }
        return all;
    }

    @Test
    void inEveryOrderOfEventsMailComesOnlyAfterAYesThatNothingEnded() {
        for (List<Event> order : ordersOf(6)) {
            Agreement now = ASKED;
            boolean yes = false;
            boolean no = false;
            for (Event event : order) {
                now = now.after(event).orElse(now);
                no = event == Event.DECLINED || no && event != Event.AGREED;
                yes = event == Event.AGREED
                        || event == Event.VOUCHED_FOR && !no
                        || yes && event != Event.DECLINED && event != Event.LAPSED && event != Event.UNREACHED;
                assertThat(now.isGiven()).as("%s in %s", event, order).isEqualTo(yes);
            }
        }
    }

    @Test
    void aColleagueGetsMailUntilTheySayNoAndAgainOnceTheyThinkBetterOfIt() {
        for (List<Event> order : ordersOf(6)) {
            Agreement now = TOLD;
            boolean no = false;
            for (Event event : order) {
                if (event == Event.ASKED) {
                    break; // its domain is ours no more
                }
                now = now.after(event).orElse(now);
                no = event == Event.DECLINED || no && event != Event.AGREED;
                assertThat(now.allows(true)).as("%s in %s", event, order).isEqualTo(!no);
                assertThat(now.allows(false)).as("an address outside").isFalse();
            }
        }
    }

    @Test
    void whoSaidNoIsNotAskedAgainAndNobodyAnswersForThem() {
        for (Event event : List.of(Event.ASKED, Event.VOUCHED_FOR, Event.LAPSED, Event.UNREACHED)) {
            assertThat(DECLINED.after(event)).as("%s", event).isEmpty();
        }
        assertThat(DECLINED.after(Event.AGREED)).contains(Agreement.CONFIRMED);
    }

    @Test
    void askingAgainTakesNothingFromWhoAgreed() {
        assertThat(Agreement.CONFIRMED.after(Event.ASKED)).contains(Agreement.CONFIRMED);
        assertThat(LAPSED.after(Event.ASKED)).contains(ASKED);
    }

    @Test
    void whatIsHandedOnWaitsForTheDestinationAndMailInsideDoesNot() {
        assertThat(against(MARA, Optional.empty())).contains(Reason.OUTSIDE);
        assertThat(against(MARA, Optional.of(ASKED))).contains(Reason.OUTSIDE);
        assertThat(against(MARA, Optional.of(LAPSED))).contains(Reason.OUTSIDE);
        assertThat(against(MARA, Optional.of(DECLINED))).contains(Reason.DESTINATION_DECLINED);
        assertThat(against(MARA, Optional.of(Agreement.VOUCHED_FOR))).isEmpty();
        assertThat(against(EDUCATION, Optional.empty())).isEmpty();
        assertThat(against(EDUCATION, Optional.of(TOLD))).isEmpty();
        assertThat(against(EDUCATION, Optional.of(OBJECTED))).contains(Reason.DESTINATION_DECLINED);
        assertThat(against(MARA, Optional.of(TOLD)))
                .as("its domain is ours no more")
                .contains(Reason.OUTSIDE);
        assertThat(Reason.OUTSIDE.mayBeOverruled() || Reason.DESTINATION_DECLINED.mayBeOverruled())
                .as("nobody sends past it")
                .isFalse();
    }

    private static Optional<Reason> against(MailAddress to, Optional<Agreement> said) {
        Map<String, Agreement> known =
                said.map(state -> Map.of(to.key(), state)).orElse(Map.of());
        return Clearance.againstDestination(to, Mails.VISITS, new Agreements.Known(known));
    }

    @Test
    void nobodyIsAskedMoreThanThreeTimesADay() {
        Outgoing.Request request = new Outgoing.Request(MARA, Optional.empty(), false);
        assertThat(Clearance.look(request, new Clearance.Requests(2, 2, 2))).isPresent();
        assertThat(Clearance.look(request, new Clearance.Requests(3, 3, 3))).isEmpty();
        assertThat(Clearance.look(request, new Clearance.Requests(0, 20, 20))).isEmpty();
        assertThat(Clearance.look(request, new Clearance.Requests(0, 0, 40))).isEmpty();

        Outgoing.Request tells = new Outgoing.Request(EDUCATION, Optional.empty(), true);
        assertThat(Clearance.look(tells, new Clearance.Requests(0, 9, 19))).isPresent();
        assertThat(Clearance.look(tells, new Clearance.Requests(0, 10, 10)))
                .as("room is left for those who have to be asked")
                .isEmpty();
    }
}
