package app.jubek.core.criteria;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.Mails;
import app.jubek.core.message.ReadMessage;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Facts of the trade (common practice) about picking mail out. */
class CriteriaTest {
    private final ReadMessage message = Mails.read(
            Mails.from("office@junior.birkhall-school.example", "Re: GUIDED visits in May", "We are 24 pupils."));

    private boolean holds(Criterion criterion) {
        return criterion.holds(Mails.inHand(message));
    }

    private static TextTest words(Part.Kind part, String... phrases) {
        return TextTest.phrases(part, List.of(phrases));
    }

    private static AddressTest sender(AddressTest.How how, String... values) {
        return new AddressTest(AddressTest.Part.SENDER, how, List.of(values), false);
    }

    @Test
    void letterCaseIsIgnoredAndWordsAroundAPhraseDoNotMatter() {
        assertThat(holds(words(Part.Kind.SUBJECT, "guided Visit"))).isTrue();
    }

    @Test
    void onePhraseOfAListSuffices() {
        assertThat(holds(words(Part.Kind.SUBJECT, "invoice", "visits"))).isTrue();
    }

    @Test
    void aPhraseIsContainedInItsPluralAndAPluralNotInTheSingular() {
        assertThat(holds(words(Part.Kind.SUBJECT, "guided visit"))).isTrue();
        assertThat(holds(words(Part.Kind.TEXT, "pupilss"))).isFalse();
    }

    @Test
    void subjectOrTextTakesEither() {
        assertThat(holds(words(Part.Kind.SUBJECT_OR_TEXT, "24 pupils"))).isTrue();
        assertThat(holds(words(Part.Kind.SUBJECT, "24 pupils"))).isFalse();
    }

    @Test
    void aDomainTakesEveryAddressInItAndBelowOnlyWhenSaid() {
        assertThat(holds(sender(AddressTest.How.AT_DOMAIN_OR_BELOW, "@Birkhall-School.example")))
                .isTrue();
        assertThat(holds(sender(AddressTest.How.AT_DOMAIN, "birkhall-school.example")))
                .isFalse();
        assertThat(holds(sender(AddressTest.How.AT_DOMAIN_OR_BELOW, "hall-school.example")))
                .isFalse();
    }

    @Test
    void aNameTestSeesTheDisplayedNameAndAnAddressTestDoesNot() {
        assertThat(holds(words(Part.Kind.SENDER_NAME, "anna"))).isTrue();
        assertThat(holds(words(Part.Kind.SENDER_NAME, "birkhall"))).isFalse();
    }

    /** UTS 46: an internationalised domain and its A-label are the same. */
    @Test
    void anInternationalisedDomainIsItsAsciiForm() {
        assertThat(sender(AddressTest.How.AT_DOMAIN, "gärten.example").values())
                .containsExactly("xn--grten-gra.example");
    }

    @Test
    void negationTurnsEveryTestAndNoneOfTurnsAnyOf() {
        List<Criterion> tests = List.of(
                words(Part.Kind.SUBJECT, "visit"),
                words(Part.Kind.TEXT, "swap"),
                sender(AddressTest.How.IS, "a@b.example"));
        for (Criterion test : tests) {
            Criterion negated = test instanceof TextTest t
                    ? new TextTest(t.part(), t.values(), true)
                    : new AddressTest(AddressTest.Part.SENDER, AddressTest.How.IS, List.of("a@b.example"), true);
            assertThat(holds(negated)).isNotEqualTo(holds(test));
        }
        assertThat(holds(new Group(Group.How.NONE, tests))).isNotEqualTo(holds(new Group(Group.How.ANY, tests)));
    }

    @Test
    void anEmptyGroupIsAnErrorAndEverythingAChoice() {
        assertThatThrownBy(() -> new Group(Group.How.ALL, List.of())).hasMessageContaining("add a criterion");
        assertThat(holds(new Everything())).isTrue();
        assertThat(holds(new Nothing())).isFalse();
    }

    @Test
    void aBroadPhraseMakesLongerOnesSuperfluous() {
        TextTest test = words(Part.Kind.SUBJECT, "guided visit", "guided visits", "tour");
        assertThat(test.covered().get(1)).contains(0);
        assertThat(test.covered().get(0)).isEmpty();
        assertThat(test.covered().get(2)).isEmpty();
    }

    @Test
    void aNearMissFailsByOneCriterionWhileAnotherHolds() {
        Criterion holds = sender(AddressTest.How.AT_DOMAIN_OR_BELOW, "birkhall-school.example");
        Criterion fails = words(Part.Kind.SUBJECT, "class booking");
        assertThat(NearMiss.of(new Group(Group.How.ALL, List.of(holds, fails)), Mails.inHand(message)))
                .contains(fails);
        assertThat(NearMiss.of(new Group(Group.How.ALL, List.of(fails, fails)), Mails.inHand(message)))
                .isEmpty();
    }

    @Test
    void aPhraseThatFailsByOneWordIsANearMiss() {
        for (String near :
                List.of("guided visits next May", "booked visits in May", "visits in June", "guided visitors")) {
            assertThat(NearMiss.byOneWord(words(Part.Kind.SUBJECT, near), Mails.inHand(message)))
                    .as(near)
                    .isPresent();
        }
        for (String far : List.of("guided visit", "guided tour", "school visits today", "visits", "invoice")) {
            assertThat(NearMiss.byOneWord(words(Part.Kind.SUBJECT, far), Mails.inHand(message)))
                    .as(far)
                    .isEmpty();
        }
    }

    @Test
    void matchedWordsAreMarkedWhereTheyAreDisplayedAndOverlapsMerge() {
        Marks marks = new Marks("Anna", "Guided visits", List.of("no", "A guided visit."));
        List<Mark> found = marks.of(words(Part.Kind.SUBJECT_OR_TEXT, "guided visit", "visits"));
        assertThat(found)
                .extracting(m -> m.place() + " " + m.part() + " " + m.span().start() + "-"
                        + m.span().end())
                .containsExactly("SUBJECT 0 0-13", "TEXT 1 2-14");
    }

    @Test
    void criteriaReadBackAsOneClause() {
        Criterion all = new Group(
                Group.How.ALL,
                List.of(
                        sender(AddressTest.How.AT_DOMAIN_OR_BELOW, "birkhall-school.example"),
                        words(Part.Kind.SUBJECT_OR_TEXT, "guided visit", "class booking")));
        assertThat(all.inWords())
                .isEqualTo(
                        "from anyone at birkhall-school.example and with “guided visit” or “class booking” in the subject or text");
    }
}
