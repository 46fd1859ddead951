package app.jubek.core.criteria;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.Mails;
import app.jubek.core.explain.Mark;
import app.jubek.core.explain.Marks;
import app.jubek.core.explain.NearMiss;
import app.jubek.core.message.ReadMessage;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Facts of the trade (common practice) about picking mail out. */
class CriteriaTest {
    private final ReadMessage message = Mails.read(
            Mails.from("office@junior.birkhall-school.example", "Re: GUIDED visits in May", "We are 24 pupils."));

    private boolean holds(Criterion criterion) {
        return criterion.holds(Mails.view(message));
    }

    private static TextCriterion words(MessagePart.Kind part, String... phrases) {
        return TextCriterion.phrases(part, List.of(phrases));
    }

    private static AddressCriterion sender(AddressCriterion.AddressMatch how, String... values) {
        return new AddressCriterion(AddressCriterion.AddressField.SENDER, how, List.of(values), false);
    }

    @Test
    void letterCaseIsIgnoredAndWordsAroundAPhraseDoNotMatter() {
        assertThat(holds(words(MessagePart.Kind.SUBJECT, "guided Visit"))).isTrue();
    }

    @Test
    void onePhraseOfAListSuffices() {
        assertThat(holds(words(MessagePart.Kind.SUBJECT, "invoice", "visits"))).isTrue();
    }

    @Test
    void aPhraseIsContainedInItsPluralAndAPluralNotInTheSingular() {
        assertThat(holds(words(MessagePart.Kind.SUBJECT, "guided visit"))).isTrue();
        assertThat(holds(words(MessagePart.Kind.TEXT, "pupilss"))).isFalse();
    }

    @Test
    void subjectOrTextTakesEither() {
        assertThat(holds(words(MessagePart.Kind.SUBJECT_OR_TEXT, "24 pupils"))).isTrue();
        assertThat(holds(words(MessagePart.Kind.SUBJECT, "24 pupils"))).isFalse();
    }

    @Test
    void aDomainTakesEveryAddressInItAndBelowOnlyWhenSaid() {
        assertThat(holds(sender(AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW, "@Birkhall-School.example")))
                .isTrue();
        assertThat(holds(sender(AddressCriterion.AddressMatch.AT_DOMAIN, "birkhall-school.example")))
                .isFalse();
        assertThat(holds(sender(AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW, "hall-school.example")))
                .isFalse();
    }

    @Test
    void aNameTestSeesTheDisplayedNameAndAnAddressTestDoesNot() {
        assertThat(holds(words(MessagePart.Kind.SENDER_NAME, "anna"))).isTrue();
        assertThat(holds(words(MessagePart.Kind.SENDER_NAME, "birkhall"))).isFalse();
    }

    /** UTS 46: an internationalised domain and its A-label are the same. */
    @Test
    void anInternationalisedDomainIsItsAsciiForm() {
        assertThat(sender(AddressCriterion.AddressMatch.AT_DOMAIN, "gärten.example")
                        .values())
                .containsExactly("xn--grten-gra.example");
    }

    @Test
    void negationTurnsEveryTestAndNoneOfTurnsAnyOf() {
        List<Criterion> tests = List.of(
                words(MessagePart.Kind.SUBJECT, "visit"),
                words(MessagePart.Kind.TEXT, "swap"),
                sender(AddressCriterion.AddressMatch.IS, "a@b.example"));
        for (Criterion test : tests) {
            Criterion negated = test instanceof TextCriterion t
                    ? new TextCriterion(t.part(), t.values(), true)
                    : new AddressCriterion(
                            AddressCriterion.AddressField.SENDER,
                            AddressCriterion.AddressMatch.IS,
                            List.of("a@b.example"),
                            true);
            assertThat(holds(negated)).isNotEqualTo(holds(test));
        }
        assertThat(holds(new Group(Group.Quantifier.NONE, tests)))
                .isNotEqualTo(holds(new Group(Group.Quantifier.ANY, tests)));
    }

    @Test
    void anEmptyGroupIsAnErrorAndEverythingAChoice() {
        assertThatThrownBy(() -> new Group(Group.Quantifier.ALL, List.of())).hasMessageContaining("add a criterion");
        assertThat(holds(new Everything())).isTrue();
        assertThat(holds(new Nothing())).isFalse();
    }

    @Test
    void aBroadPhraseMakesLongerOnesSuperfluous() {
        TextCriterion test = words(MessagePart.Kind.SUBJECT, "guided visit", "guided visits", "tour");
        assertThat(test.covered().get(1)).contains(0);
        assertThat(test.covered().get(0)).isEmpty();
        assertThat(test.covered().get(2)).isEmpty();
    }

    @Test
    void aNearMissFailsByOneCriterionWhileAnotherHolds() {
        Criterion holds = sender(AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW, "birkhall-school.example");
        Criterion fails = words(MessagePart.Kind.SUBJECT, "class booking");
        assertThat(NearMiss.of(new Group(Group.Quantifier.ALL, List.of(holds, fails)), Mails.view(message)))
                .contains(fails);
        assertThat(NearMiss.of(new Group(Group.Quantifier.ALL, List.of(fails, fails)), Mails.view(message)))
                .isEmpty();
    }

    @Test
    void aPhraseThatFailsByOneWordIsANearMiss() {
        for (String near :
                List.of("guided visits next May", "booked visits in May", "visits in June", "guided visitors")) {
            assertThat(NearMiss.byOneWord(words(MessagePart.Kind.SUBJECT, near), Mails.view(message)))
                    .as(near)
                    .isPresent();
        }
        for (String far : List.of("guided visit", "guided tour", "school visits today", "visits", "invoice")) {
            assertThat(NearMiss.byOneWord(words(MessagePart.Kind.SUBJECT, far), Mails.view(message)))
                    .as(far)
                    .isEmpty();
        }
    }

    @Test
    void matchedWordsAreMarkedWhereTheyAreDisplayedAndOverlapsMerge() {
        Marks marks = new Marks("Anna", "Guided visits", List.of("no", "A guided visit."));
        List<Mark> found = marks.of(words(MessagePart.Kind.SUBJECT_OR_TEXT, "guided visit", "visits"));
        assertThat(found)
                .extracting(m -> m.place() + " " + m.part() + " " + m.span().start() + "-"
                        + m.span().end())
                .containsExactly("SUBJECT 0 0-13", "TEXT 1 2-14");
    }

    @Test
    void criteriaReadBackAsOneClause() {
        Criterion all = new Group(
                Group.Quantifier.ALL,
                List.of(
                        sender(AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW, "birkhall-school.example"),
                        words(MessagePart.Kind.SUBJECT_OR_TEXT, "guided visit", "class booking")));
        assertThat(Mails.words(all.statement()))
                .isEqualTo(
                        "from anyone at birkhall-school.example and with “guided visit” or “class booking” in the subject or text");
    }
}
