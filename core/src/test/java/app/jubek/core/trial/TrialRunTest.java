package app.jubek.core.trial;

import static app.jubek.core.trial.Trying.ID;
import static app.jubek.core.trial.Trying.subject;
import static app.jubek.core.trial.Trying.trial;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A kept message, and what must and must not become of it. */
class TrialRunTest {
    private static final Expectation PICKED = Expectation.picked(ID, true);
    private static final Rule RULE = Trying.rule(
            subject("permit"),
            subject("invoice"),
            new Step.Redirect(List.of(MailAddress.of("education@ostrel-gardens.example"))),
            new Step.File("Photos"));

    private static TrialResult of(Rule rule, Trial trial) {
        return TrialRun.of(RuleBook.of(List.of(rule)), List.of(trial), Mails.context())
                .get(0);
    }

    @Test
    void whatARuleDoesToAMessageNowIsWhatItMustDoFromThenOn() {
        List<Expectation> now =
                Expectation.asDecided(ID, of(RULE, trial("A permit", PICKED)).decision());
        assertThat(now)
                .containsExactly(
                        PICKED,
                        new Expectation(Expectation.Fate.HANDED_ON_TO, "education@ostrel-gardens.example", true),
                        new Expectation(Expectation.Fate.FILED_IN, "Photos", true),
                        new Expectation(Expectation.Fate.IN_INBOX, "", false));
        assertThat(of(RULE, new Trial("same", trial("A permit", PICKED).seen(), now))
                        .holds())
                .isTrue();
        Rule elsewhere = RULE.doing(List.of(new Step.File("Pictures")));
        TrialResult changed =
                of(elsewhere, new Trial("other", trial("A permit", PICKED).seen(), now));
        assertThat(changed.unmet())
                .extracting(Expectation::fate)
                .containsExactly(Expectation.Fate.HANDED_ON_TO, Expectation.Fate.FILED_IN);
    }

    @Test
    void whatMustNotBeIsMarkedAmongWhatWould() {
        TrialResult result = of(RULE, trial("A permit", Expectation.picked(ID, false)));
        assertThat(result.holds()).isFalse();
        assertThat(result.happens().stream()
                        .filter(TrialResult.Happening::against)
                        .map(TrialResult.Happening::what)
                        .map(Mails::words))
                .containsExactly("picked by “Photo permits”");
        TrialResult missed = of(RULE, trial("An invoice for a permit", PICKED));
        assertThat(Mails.words(missed.because()))
                .containsExactly("left out, because it is mail with “invoice” in the subject");
    }

    @Test
    void aPausedRuleIsTriedAsIfItWereOnAndOthersAsTheyAre() {
        assertThat(of(RULE.switched(false), trial("A permit", PICKED)).holds()).isTrue();
        Rule earlier = new Rule(
                new RuleId("earlier"),
                1,
                "Earlier",
                subject("permit"),
                new Nothing(),
                List.of(new Step.File("All")),
                Ending.STOP_HERE,
                false);
        RuleBook book = RuleBook.of(List.of(earlier, RULE));
        List<Trial> one = List.of(trial("A permit", PICKED));
        assertThat(TrialRun.of(book, one, Mails.context()).get(0).holds()).isTrue();
        RuleBook both = RuleBook.of(List.of(earlier.switched(true), RULE));
        assertThat(TrialRun.of(both, one, Mails.context()).get(0).holds())
                .as("the earlier rule stops the run")
                .isFalse();
    }

    @Test
    void aReplyThatIsWithheldIsNone() {
        Rule answers = Trying.rule(subject("permit"), new Nothing(), new Step.Reply("", "Soon.", Duration.ofDays(7)));
        Trial automatic = new Trial(
                "automatic",
                Trying.view(
                        Mails.from("anna@school.example", "A permit", "Hello", "Auto-Submitted: auto-generated"),
                        Mails.NOW),
                List.of(PICKED, Expectation.noReply()));
        assertThat(of(answers, automatic).holds()).isTrue();
        assertThat(of(answers, trial("A permit", PICKED, Expectation.noReply())).holds())
                .isFalse();
    }

    @Test
    void anExpectationSaysOfWhat() {
        assertThatThrownBy(() -> new Expectation(Expectation.Fate.FILED_IN, " ", true))
                .hasMessageContaining("which folder");
        assertThatThrownBy(() -> trial("A permit")).hasMessageContaining("what must happen");
    }

    /** The bound is what people may wait for while they save. */
    @Test
    void aThousandTrialsRunInTwoSeconds() {
        List<Trial> trials = new ArrayList<>();
        for (int i = 0; i < 1_000; i++) {
            trials.add(trial("Permit number " + i, PICKED));
        }
        DecisionContext at = Mails.context();
        long began = System.nanoTime();
        List<TrialResult> results = TrialRun.of(RuleBook.of(List.of(RULE)), trials, at);
        assertThat((System.nanoTime() - began) / 1_000_000).isLessThan(2_000);
        assertThat(results).allMatch(TrialResult::holds);
    }
}
