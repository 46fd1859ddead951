package app.jubek.core.trial;

import static app.jubek.core.trial.Trying.all;
import static app.jubek.core.trial.Trying.subject;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.step.Step;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Which cases the trials of a rule show, and a message for each that none shows. */
class CoverageTest {
    private static final Corpus.View NO_MAIL = Trying.past();

    private static List<String> cases(Rule rule) {
        return Coverage.of(RuleBook.of(List.of(rule)), rule, List.of(), NO_MAIL, Mails.context()).cases().stream()
                .map(one -> Mails.words(one.what()))
                .toList();
    }

    private static Criterion from(String... domains) {
        return new AddressCriterion(
                AddressCriterion.AddressField.SENDER,
                AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW,
                List.of(domains),
                false);
    }

    @Test
    void onePhraseAndOneSenderEachAndEachExceptionAndANearMiss() {
        Rule rule = Trying.rule(
                all(subject("permit", "filming"), from("school.example")),
                subject("invoice"),
                new Step.Reply("", "Soon.", Duration.ofDays(7)));
        assertThat(cases(rule))
                .containsExactly(
                        "near miss: not with “permit” or “filming” in the subject",
                        "only with “permit” in the subject",
                        "only with “filming” in the subject",
                        "near miss: not from anyone at school.example",
                        "left out: with “invoice” in the subject",
                        "an automatic message, which gets no reply");
    }

    @Test
    void theFirstAndLastDayAndTheDaysAround() {
        Period december = new Period(Optional.of(LocalDate.of(2026, 12, 1)), Optional.of(LocalDate.of(2026, 12, 24)));
        Rule rule = Trying.rule(subject("permit"), new Schedule(Schedule.Hours.INSIDE, december));
        assertThat(cases(rule))
                .containsExactly(
                        "one that it picks",
                        "one that it must not pick",
                        "one on its first day, 1 December 2026",
                        "one on the day before, 30 November 2026",
                        "one on its last day, 24 December 2026",
                        "one on the day after, 25 December 2026",
                        "one outside its hours");
        assertThat(Trying.kept(rule, NO_MAIL, Mails.context())).hasSize(7);
    }

    @Test
    void realMailComesBeforeWhatIsMadeUpAndShowsTheCaseOnceItIsKept() {
        Corpus.View past = Trying.past("A permit", "Filming", "A permit for filming", "Opening hours");
        Rule rule = Trying.rule(subject("permit", "filming"), new Nothing(), new Step.File("Photos"));
        RuleBook book = RuleBook.of(List.of(rule));
        List<Case> missing =
                Coverage.of(book, rule, List.of(), past, Mails.context()).cases();
        assertThat(missing)
                .extracting(one -> ((Case.Real) one.proposal().orElseThrow()).message())
                .as("the one that says both shows neither phrase")
                .containsExactly(0L, 1L, 3L);
        List<Trial> kept = Trying.kept(rule, past, Mails.context());
        assertThat(TrialRun.of(book, kept, Mails.context())).allMatch(TrialResult::holds);
        assertThat(Coverage.of(book, rule, kept, past, Mails.context()).cases()).noneMatch(Case::isMissing);
    }

    @Test
    void anotherRuleThatKeepsItsMailFromItIsHeeded() {
        Rule earlier = Trying.rule(subject("permit"), new Nothing(), new Step.File("All"));
        Rule rule = new Rule(
                new RuleId("later"),
                1,
                "Later",
                subject("permit", "filming"),
                new Nothing(),
                List.of(new Step.File("Photos")),
                Ending.STOP_HERE,
                true);
        List<Case> cases = Coverage.of(RuleBook.of(List.of(earlier, rule)), rule, List.of(), NO_MAIL, Mails.context())
                .cases();
        assertThat(cases.get(0).proposal()).as("permits never get there").isEmpty();
        assertThat(cases.get(1).proposal()).isPresent();
    }
}
