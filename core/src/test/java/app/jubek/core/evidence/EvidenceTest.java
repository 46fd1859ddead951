package app.jubek.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.step.Step;
import app.jubek.core.view.MessageView;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class EvidenceTest {
    private static final Instant BEGIN = Instant.parse("2026-01-01T00:00:00Z");
    private final Corpus corpus = new Corpus(50, Long.MAX_VALUE);
    private int count;

    private void mail(String sender, String subject) {
        count++;
        MessageView seen = Mails.view(Mails.read(Mails.from(sender, subject, "")));
        corpus.add(new PastMessage(count, BEGIN.plusSeconds(count * 60L), seen));
    }

    private static Criterion subject(String... phrases) {
        return TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(phrases));
    }

    private static Criterion at(String domain) {
        return new AddressCriterion(
                AddressCriterion.AddressField.SENDER,
                AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW,
                List.of(domain),
                false);
    }

    private static Rule rule(String id, Criterion picksOut, Criterion leavesOut, Ending ending) {
        return new Rule(new RuleId(id), 1, id, picksOut, leavesOut, List.of(new Step.File("Seeds")), ending, true);
    }

    private Evidence evidence(Rule edited, Rule... others) {
        return Evidence.of(
                RuleBook.of(List.of(others)), edited.id(), corpus.since(BEGIN), Opening.usual(ZoneOffset.UTC));
    }

    @Test
    void whatTheLiveRulePicksIsKeptNoLongerThanItHolds() {
        LivePicked live = new LivePicked();
        Opening hours = Opening.usual(ZoneOffset.UTC);
        Rule rule = rule("visits", subject("guided visit"), new Nothing(), Ending.CONTINUE);
        RuleBook book = RuleBook.of(List.of(rule));
        mail("a@school.example", "guided visit");
        mail("b@school.example", "term dates");
        live.of(book, rule.id(), corpus.since(BEGIN), hours).set(1);
        assertThat(live.of(book, rule.id(), corpus.since(BEGIN), hours)).hasToString("{0}");
        mail("c@school.example", "guided visit");
        assertThat(live.of(book, rule.id(), corpus.since(BEGIN), hours)).hasToString("{0, 2}");
        assertThat(live.of(book, rule.id(), corpus.since(BEGIN.plusSeconds(90)), hours))
                .hasToString("{1}");
        RuleBook other = RuleBook.of(List.of(rule("visits", subject("term"), new Nothing(), Ending.CONTINUE)));
        assertThat(live.of(other, rule.id(), corpus.since(BEGIN), hours)).hasToString("{1}");
    }

    @Test
    void countersSayHowPastMailStandsToTheEditedRule() {
        mail("a@school.example", "guided visit");
        mail("b@school.example", "guided visit, invoice");
        mail("c@school.example", "term dates");
        mail("d@other.example", "guided visit");
        mail("e@school.example", "urgent guided visit");
        Rule edited = rule(
                "hand",
                new Group(Group.Quantifier.ALL, List.of(at("school.example"), subject("guided visit"))),
                new Group(Group.Quantifier.ANY, List.of(subject("invoice"))),
                Ending.CONTINUE);
        Rule earlier = rule("earlier", subject("urgent"), new Nothing(), Ending.STOP_HERE);
        Rule later = rule("later", subject("visit"), new Nothing(), Ending.STOP_HERE);
        Evidence evidence = evidence(edited, earlier, edited, later);
        assertThat(java.util.Arrays.stream(Counter.values()).map(c -> c + " " + evidence.count(c)))
                .containsExactly(
                        "PICKED 1",
                        "LEFT_OUT 1",
                        "STOPPED_EARLIER 1",
                        "LATER_RULES_ACT 1",
                        "NEAR_MISS 2",
                        "OUTSIDE_ITS_HOURS 0");
        assertThat(evidence.takenBy(evidence.results().get(4)))
                .extracting(Rule::name)
                .containsExactly("hand", "later");
        assertThat(evidence.picksOut())
                .extracting(CriterionFigures::matches, CriterionFigures::effect)
                .containsExactly(org.assertj.core.groups.Tuple.tuple(4, 1), org.assertj.core.groups.Tuple.tuple(4, 1));
        assertThat(evidence.leavesOut().get(0).effect()).isEqualTo(1);
    }

    @Test
    void whatOtherRulesWouldLoseIsSaidBeforeARuleIsSaved() {
        mail("old@school.example", "guided visit");
        Instant since = BEGIN.plusSeconds(90);
        mail("a@school.example", "guided visit");
        mail("b@school.example", "guided visit");
        mail("c@other.example", "guided visit");
        Rule visits = rule("visits", subject("visit"), new Nothing(), Ending.STOP_HERE);
        Rule edited = rule("schools", at("school.example"), new Nothing(), Ending.STOP_HERE);
        assertThat(shadowed(since, visits, edited, visits))
                .extracting(Shadowed::rule, Shadowed::answers, Shadowed::messages)
                .containsExactly(org.assertj.core.groups.Tuple.tuple(visits, false, 2));
        assertThat(shadowed(since, visits, visits, edited)).as("placed below").isEmpty();
        Rule goingOn = rule("schools", at("school.example"), new Nothing(), Ending.CONTINUE);
        assertThat(shadowed(since, visits, goingOn, visits))
                .as("later rules continue")
                .isEmpty();
    }

    @Test
    void aRuleThatAnswersFirstLeavesTheNextOneNothingToAnswer() {
        mail("a@school.example", "guided visit");
        Step answer = new Step.Reply("", "Thank you.", Duration.ofDays(7));
        Rule visits =
                rule("visits", subject("visit"), new Nothing(), Ending.CONTINUE).doing(List.of(answer));
        Rule edited = rule("schools", at("school.example"), new Nothing(), Ending.CONTINUE)
                .doing(List.of(answer));
        assertThat(shadowed(BEGIN, visits, edited, visits))
                .extracting(Shadowed::answers, Shadowed::messages)
                .containsExactly(org.assertj.core.groups.Tuple.tuple(true, 1));
    }

    @Test
    void whoWouldGetAMessageTwiceAndWhatComesBackIsSaidBeforeARuleIsSaved() {
        mail("a@school.example", "guided visit");
        mail("b@school.example", "term dates");
        Rule visits = rule("visits", subject("visit"), new Nothing(), Ending.CONTINUE)
                .doing(List.of(to("Mara@ostrel.example")));
        Rule edited = rule("schools", at("school.example"), new Nothing(), Ending.CONTINUE)
                .doing(List.of(to("mara@ostrel.example", "visits@ostrel-gardens.example", "seeds@ostrel.example")));
        assertThat(Mails.words(Cautions.of(evidence(edited, visits, edited), Mails.VISITS)))
                .containsExactly(
                        "visits@ostrel-gardens.example is this mailbox itself: the message would come back to it.",
                        "mara@ostrel.example would also get 1 of these messages from “visits”.");
        Rule other = edited.doing(List.of(to("seeds@ostrel.example")));
        assertThat(Cautions.of(evidence(other, visits, other), Mails.VISITS)).isEmpty();
    }

    private static Step to(String... addresses) {
        return new Step.Redirect(Stream.of(addresses).map(MailAddress::of).toList());
    }

    private List<Shadowed> shadowed(Instant since, Rule live, Rule... withEdited) {
        Rule edited = java.util.Arrays.stream(withEdited)
                .filter(rule -> !rule.equals(live))
                .findFirst()
                .orElseThrow();
        return Shadowed.of(
                RuleBook.of(List.of(live)),
                evidence(edited, withEdited),
                corpus.since(BEGIN),
                since,
                Opening.usual(ZoneOffset.UTC));
    }

    @Test
    void onlyTheNearestOfManyNearMissesAreShown() {
        mail("near@other.example", "guided visit");
        for (int i = 0; i < 300; i++) {
            mail("a@school.example", "term dates " + i);
        }
        Rule edited = rule(
                "hand",
                new Group(Group.Quantifier.ALL, List.of(at("school.example"), subject("guided visit"))),
                new Nothing(),
                Ending.CONTINUE);
        Evidence evidence = evidence(edited, edited);
        assertThat(evidence.count(Counter.NEAR_MISS)).isEqualTo(20);
        assertThat(evidence.places(Counter.NEAR_MISS))
                .as("that so few messages meet the phrase says more than the domain of so many")
                .contains(0);
        assertThat(evidence.standing(1)).as("one that others are nearer than").containsExactly(Counter.NEAR_MISS);
    }

    @Test
    void pickedLeftOutAndTakenEarlierAddUpToAllThatMeetTheCriteria() {
        Random random = new Random(11);
        List<String> words = List.of("visit", "invoice", "urgent", "seeds", "term");
        for (int i = 0; i < 400; i++) {
            mail(
                    "x@" + (random.nextBoolean() ? "school" : "other") + ".example",
                    words.get(random.nextInt(5)) + " " + words.get(random.nextInt(5)));
        }
        for (Ending ending : Ending.values()) {
            Rule edited = rule("hand", subject("visit", "seeds"), subject("invoice"), Ending.CONTINUE);
            Evidence evidence = evidence(edited, rule("earlier", subject("urgent"), new Nothing(), ending), edited);
            int meet = evidence.picksOut().get(0).matches();
            assertThat(evidence.count(Counter.PICKED)
                            + evidence.count(Counter.LEFT_OUT)
                            + evidence.count(Counter.STOPPED_EARLIER))
                    .isEqualTo(meet);
        }
    }

    @Test
    void aPausedRuleIsJudgedAsIfItWereOn() {
        mail("a@school.example", "guided visit");
        Rule on = rule("hand", subject("visit"), new Nothing(), Ending.CONTINUE);
        Rule paused = new Rule(on.id(), 1, "hand", on.picksOut(), on.leavesOut(), on.steps(), on.ending(), false);
        assertThat(evidence(paused, paused).count(Counter.PICKED)).isEqualTo(1);
    }

    private static Rule active(Rule rule, Schedule schedule) {
        return new Rule(
                rule.id(),
                1,
                rule.name(),
                rule.picksOut(),
                rule.leavesOut(),
                rule.steps(),
                rule.ending(),
                schedule,
                true);
    }

    @Test
    void whatComesOutsideARulesHoursIsCountedAsThatAndNotAsPicked() {
        mail("a@school.example", "visit");
        Rule always = rule("hand", subject("visit"), new Nothing(), Ending.CONTINUE);
        Rule hours = active(always, new Schedule(Schedule.Hours.INSIDE, Period.OPEN));
        Evidence outside = evidence(hours, hours);
        assertThat(outside.count(Counter.PICKED)).isZero();
        assertThat(outside.count(Counter.OUTSIDE_ITS_HOURS)).isEqualTo(1);
        assertThat(outside.takenBy(outside.results().get(0))).isEmpty();
        assertThat(evidence(always, always).count(Counter.OUTSIDE_ITS_HOURS)).isZero();
    }

    @Test
    void thatNoPastMailFallsIntoTheDaysOfARuleDoesNotMatter() {
        mail("a@school.example", "visit");
        Period next = new Period(Optional.of(LocalDate.of(2030, 1, 1)), Optional.empty());
        Rule later = active(
                rule("hand", subject("visit"), new Nothing(), Ending.CONTINUE),
                new Schedule(Schedule.Hours.ALWAYS, next));
        assertThat(evidence(later, later).count(Counter.PICKED)).isEqualTo(1);
    }

    @Test
    void allAndAnyAreShownOnTheNewestMailThatMeetsEveryCriterionOrOne() {
        mail("a@school.example", "guided visit");
        mail("b@school.example", "term dates");
        mail("c@elsewhere.example", "something");
        Criterion both = new Group(Group.Quantifier.ALL, List.of(subject("visit"), at("school.example")));
        AllOrAny shown = AllOrAny.of(both, corpus.since(BEGIN)).orElseThrow();
        assertThat(shown.all()).contains(0);
        assertThat(shown.one()).contains(new AllOrAny.One(1, 1));
        assertThat(AllOrAny.of(subject("visit"), corpus.since(BEGIN))).isEmpty();
    }

    @Test
    void messagesThatComeInAreSeenByTheNextQuestionNewestFirst() {
        mail("a@school.example", "visit one");
        Rule rule = rule("hand", subject("visit"), new Nothing(), Ending.CONTINUE);
        assertThat(evidence(rule, rule).count(Counter.PICKED)).isEqualTo(1);
        mail("a@school.example", "visit two");
        assertThat(evidence(rule, rule).results())
                .extracting(s -> s.message().subject())
                .containsExactly("visit two", "visit one");
    }
}
