package app.jubek.core.rule;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.step.Step;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

class BookDifferenceTest {
    private static final Rule VISITS = rule("visits", "Visits", "guided visit", new Step.File("Visits"));
    private static final Rule SEEDS = rule("seeds", "Seeds", "[seeds]", new Step.File("Seeds"));

    private static Criterion words(String phrase) {
        return TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(phrase));
    }

    private static Rule rule(String id, String name, String phrase, Step step) {
        return new Rule(new RuleId(id), 1, name, words(phrase), new Nothing(), List.of(step), Ending.STOP_HERE, true);
    }

    private static List<String> between(List<Rule> before, List<Rule> after) {
        return Mails.words(BookDifference.between(RuleBook.of(before), RuleBook.of(after)));
    }

    @Test
    void addedRemovedPausedAndMovedRulesAreNamed() {
        assertThat(between(List.of(), List.of(VISITS))).containsExactly("“Visits” is added and on.");
        assertThat(between(List.of(VISITS, SEEDS), List.of(SEEDS))).containsExactly("“Visits” is removed.");
        assertThat(between(List.of(VISITS), List.of(VISITS.switched(false)))).containsExactly("“Visits” is paused.");
        assertThat(between(List.of(VISITS, SEEDS), List.of(SEEDS, VISITS)))
                .containsExactly("“Seeds” and others are in another order.");
        assertThat(between(List.of(VISITS), List.of(VISITS.asVersion(7)))).isEmpty();
    }

    @Test
    void aChangedRuleReadsAsItDoesNow() {
        Rule wider = rule("visits", "School visits", "visit", new Step.File("Visits"));
        assertThat(between(List.of(VISITS), List.of(wider)))
                .containsExactly(
                        "“School visits” was called “Visits”.",
                        "“School visits” now reads: Mail with “visit” in the subject is filed in Visits.");
        Rule answers = rule("visits", "Visits", "guided visit", new Step.Reply("", "Thank you.", Duration.ofDays(7)));
        Rule politely =
                rule("visits", "Visits", "guided visit", new Step.Reply("", "Many thanks.", Duration.ofDays(7)));
        assertThat(between(List.of(answers), List.of(politely)))
                .containsExactly("“Visits” does the same in another way.");
    }

    @Test
    void theFenceCounts() {
        RuleBook open = RuleBook.of(List.of(VISITS));
        RuleBook fenced = new RuleBook(List.of(VISITS), words("confidential"));
        assertThat(Mails.words(BookDifference.between(open, fenced))).containsExactly("The fence is changed.");
    }
}
