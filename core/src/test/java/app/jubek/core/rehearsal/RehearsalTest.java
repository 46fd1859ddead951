package app.jubek.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.jubek.core.Mails;
import app.jubek.core.OpenPast;
import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.trial.Expectation;
import app.jubek.core.trial.Trial;
import app.jubek.core.trial.TrialRun;
import app.jubek.core.view.MessageView;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class RehearsalTest {
    private static final DecisionContext AT = Mails.context();
    private static final Step TO_DUTY = new Step.Redirect(List.of(MailAddress.of("duty@ostrel-gardens.example")), true);
    private static final Step REPLY = new Step.Reply("", "Thank you.", Duration.ofDays(7));
    private static final Step FILE = new Step.File("Permits");

    private final Corpus corpus = new Corpus(100, Long.MAX_VALUE);

    private static Rule rule(String name, String phrase, Ending ending, Step... steps) {
        return new Rule(
                new RuleId(name),
                1,
                name,
                TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(phrase)),
                new Nothing(),
                List.of(steps),
                ending,
                true);
    }

    private void came(int daysAgo, String sender, String subject) {
        Instant received = Mails.NOW.minus(Duration.ofDays(daysAgo));
        MessageView seen = new MessageView(
                Mails.read(Mails.from(sender, subject, "Dear desk, we ask about " + subject)),
                AT.context().cameIn(received));
        corpus.add(new PastMessage(corpus.size(), received, seen));
    }

    private Rehearsal between(List<Rule> now, List<Rule> then) {
        return Rehearsal.of(corpus.since(Instant.EPOCH), side(now), side(then), Watch.NOBODY)
                .orElseThrow();
    }

    private static Side side(List<Rule> rules) {
        return new Side(RuleBook.of(rules), AT);
    }

    private static List<String> fate(Side.Fate fate) {
        return Mails.words(fate.statements());
    }

    @Test
    void messagesMoveFromOneFateToAnother() {
        came(20, "anna@school.example", "Our visit");
        came(12, "tom@school.example", "A permit, please");
        came(3, "tom@school.example", "Opening hours");
        Rehearsal made = between(
                List.of(rule("permits", "permit", Ending.STOP_HERE, FILE)),
                List.of(rule("visits", "visit", Ending.STOP_HERE, TO_DUTY)));
        assertThat(made.changing().cardinality()).isEqualTo(2);
        assertThat(made.flows().stream().filter(Rehearsal.Flow::changes))
                .extracting(flow -> fate(flow.from()), flow -> fate(flow.to()), Rehearsal.Flow::messages)
                .containsExactlyInAnyOrder(
                        tuple(List.of("left in the inbox"), List.of("redirected to duty@ostrel-gardens.example"), 1),
                        tuple(List.of("filed in Permits"), List.of("left in the inbox"), 1));
        assertThat(made.byRule())
                .extracting(of -> of.rule().name(), Rehearsal.OfRule::before, Rehearsal.OfRule::after)
                .containsExactly(tuple("visits", 0, 1), tuple("permits", 1, 0));
        assertThat(made.byRule().get(0).weeks().get(0).week()).isEqualTo(LocalDate.of(2026, 3, 9));
    }

    @Test
    void whoWasAnsweredIsNotAnsweredAgainTooSoonAndWhoIsAnsweredTwiceIsNamed() {
        came(20, "anna@school.example", "permit one");
        came(18, "anna@school.example", "permit two");
        came(2, "anna@school.example", "permit three");
        came(1, "tom@school.example", "permit four");
        Rehearsal made = between(List.of(), List.of(rule("permits", "permit", Ending.STOP_HERE, REPLY)));
        assertThat(made.after().answered().stream()).containsExactly(0, 2, 3);
        assertThat(made.after().decision(1).notDone()).hasSize(1);
        assertThat(made.answeredAgain())
                .extracting(Rehearsal.Again::sender, Rehearsal.Again::before, Rehearsal.Again::after)
                .containsExactly(tuple("anna@school.example", 0, 2));
        assertThat(made.replies().after()).isEqualTo(3);
    }

    @Test
    void overlapsVolumesAndNearMissesAreThoseOfTheOtherRules() {
        came(5, "anna@school.example", "permit for our visit");
        came(5, "tom@school.example", "guided school visit");
        came(4, "tom@school.example", "guided school trip");
        Rehearsal made = between(
                List.of(rule("permits", "permit", Ending.CONTINUE, FILE)),
                List.of(
                        rule("permits", "permit", Ending.CONTINUE, FILE),
                        rule("visits", "visit", Ending.CONTINUE, TO_DUTY),
                        rule("schools", "guided school visit", Ending.CONTINUE, new Step.Copy("Schools"))));
        assertThat(made.overlaps())
                .extracting(
                        overlap -> overlap.one().name() + " " + overlap.other().name(), Rehearsal.Overlap::messages)
                .containsExactlyInAnyOrder(tuple("permits visits", 1), tuple("visits schools", 1));
        Rehearsal.Volume duty = made.volumes().get(0);
        assertThat(duty.destination()).isEqualTo("duty@ostrel-gardens.example");
        assertThat(List.of(duty.before(), duty.after())).containsExactly(0, 2);
        assertThat(duty.days()).containsExactly(new Rehearsal.Day(LocalDate.of(2026, 3, 24), 2));
        assertThat(made.nearMisses())
                .extracting(near -> near.rule().name(), near -> near.where().cardinality())
                .containsExactly(tuple("schools", 1));
    }

    @Test
    void anotherOrderSaysWhichMailOtherRulesActOn() {
        came(2, "anna@school.example", "visit");
        came(1, "tom@school.example", "visit, price list");
        Rule visits = rule("visits", "visit", Ending.STOP_HERE);
        Rule prices = rule("prices", "price list", Ending.STOP_HERE);
        Rule silent = rule("silent", "no such words", Ending.STOP_HERE);
        List<ChangesHands.Change> changes =
                inOtherOrder(List.of(visits, prices, silent), List.of(prices, visits, silent));
        assertThat(changes).singleElement().satisfies(change -> {
            assertThat(change.before()).containsExactly(visits);
            assertThat(change.after()).containsExactly(prices);
        });
        assertThat(inOtherOrder(List.of(visits, prices, silent), List.of(silent, visits, prices)))
                .isEmpty();
    }

    private List<ChangesHands.Change> inOtherOrder(List<Rule> before, List<Rule> after) {
        return ChangesHands.between(RuleBook.of(before), RuleBook.of(after), corpus.since(Instant.EPOCH), AT.opening())
                .changes();
    }

    @Test
    void whoWatchesMayEndIt() {
        came(1, "anna@school.example", "permit");
        assertThat(Rehearsal.of(corpus.since(Instant.EPOCH), side(List.of()), side(List.of()), done -> false))
                .isEmpty();
    }

    /** Over the open mail (datasets): what is rehearsed, what a trial says, and what is decided when it comes in. */
    @Test
    void rehearsalTrialAndRealMailDecideTheSame() {
        OpenPast.withoutListIds().forEach(labelled -> corpus.add(labelled.message()));
        List<Rule> rules = List.of(
                rule("problems", "problem", Ending.CONTINUE, FILE, TO_DUTY),
                rule("releases", "release", Ending.STOP_HERE, new Step.Copy("Releases")),
                rule("lists", "list", Ending.STOP_HERE, Step.Plain.ARCHIVE));
        Rehearsal made = between(List.of(), rules);
        CompiledBook compiled = CompiledBook.of(RuleBook.of(rules));
        Corpus.View past = made.past();
        List<Trial> trials = new ArrayList<>();
        IntStream.range(0, past.size())
                .forEach(at -> trials.add(new Trial(
                        "" + at,
                        past.message(at).seen(),
                        List.of(Expectation.picked(rules.get(0).id(), true)))));
        List<Decision> tried = TrialRun.of(RuleBook.of(rules), trials, AT).stream()
                .map(result -> result.decision())
                .toList();
        int acting = 0;
        for (int at = 0; at < past.size(); at++) {
            MessageView seen = past.message(at).seen();
            Decision real =
                    Engine.decide(compiled, seen.message(), AT.of(seen.context().atArrival()));
            assertThat(said(made.after().decision(at))).isEqualTo(said(real)).isEqualTo(said(tried.get(at)));
            assertThat(made.after().fate(at)).isEqualTo(made.after().side().fate(real));
            acting += real.planned().isEmpty() ? 0 : 1;
        }
        assertThat(acting).as("messages on which a rule acts").isGreaterThan(50);
    }

    private static List<Object> said(Decision decision) {
        return List.of(decision.planned(), decision.notDone(), decision.staysInInbox(), Optional.of(decision.notes()));
    }
}
