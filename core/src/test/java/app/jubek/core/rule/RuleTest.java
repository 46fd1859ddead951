package app.jubek.core.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.NumberCriterion;
import app.jubek.core.criteria.Relation;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.criteria.Trait;
import app.jubek.core.criteria.TraitCriterion;
import app.jubek.core.matching.Value;
import app.jubek.core.message.SentBy;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.Flag;
import app.jubek.core.step.ForwardOptions;
import app.jubek.core.step.Release;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.Step;
import app.jubek.core.step.TargetFolder;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class RuleTest {
    private static final Step FILE = new Step.File("Seeds");
    private static final Step READ = Step.Mark.with(Flag.SEEN);
    private static final Step REDIRECT = new Step.Redirect(
            List.of(MailAddress.of("duty@ostrel-gardens.example"), MailAddress.of("Duty@ostrel-gardens.example")));

    private static Rule rule(String name, Criterion picksOut, Criterion leavesOut, List<Step> steps, boolean on) {
        return new Rule(new RuleId("r"), 1, name, picksOut, leavesOut, steps, Ending.presetFor(picksOut, steps), on);
    }

    private static TextCriterion words(String phrase, boolean negated) {
        return new TextCriterion(MessagePart.of(MessagePart.Kind.SUBJECT), List.of(Value.phrase(phrase)), negated);
    }

    @Test
    void aRuleReadsBackAsOneSentence() {
        Criterion picksOut = new Group(
                Group.Quantifier.ALL,
                List.of(
                        new AddressCriterion(
                                AddressCriterion.AddressField.SENDER,
                                AddressCriterion.AddressMatch.IS,
                                List.of("alarm@sensors.example"),
                                false),
                        words("test", true)));
        assertThat(Mails.words(rule("n", picksOut, words("pump", false), List.of(REDIRECT, READ), true)
                        .statement()))
                .isEqualTo(
                        "Mail from alarm@sensors.example and without “test” in the subject is redirected to duty@ostrel-gardens.example"
                                + " and marked read, except mail with “pump” in the subject.");
        assertThat(Mails.words(rule("n", new Everything(), new Nothing(), List.of(), false)
                        .statement()))
                .isEqualTo("All mail is left alone: the rule does nothing yet.");
    }

    @Test
    void itsSentenceIsWhatPeopleWouldSay() {
        Criterion machines = new Group(
                Group.Quantifier.ANY,
                List.of(
                        new TraitCriterion(
                                List.of(new Trait.Sent(SentBy.AUTOMATIC_REPLY), new Trait.Sent(SentBy.LIST)), false),
                        words("pump", false)));
        Criterion attached =
                new NumberCriterion(NumberCriterion.Measure.ATTACHMENTS, List.of(), Relation.OVER, 0, false);
        LocalDate first = LocalDate.of(2026, 12, 1);
        Period week = new Period(Optional.of(first), Optional.of(first.plusDays(6)));
        List<Step> marks = List.of(new Step.Mark(List.of("\\Flagged", "manager"), List.of("$Important")));
        assertThat(Mails.words(new Rule(
                                new RuleId("r"),
                                1,
                                "n",
                                attached,
                                machines,
                                marks,
                                Ending.CONTINUE,
                                new Schedule(Schedule.Hours.OUTSIDE, week),
                                true)
                        .statement()))
                .isEqualTo("Mail with an attachment is flagged, tagged “manager” and no longer marked important,"
                        + " except automatic replies, mail from mailing lists and mail with “pump” in the subject,"
                        + " outside opening hours from 1 to 7 December 2026.");
        assertThat(Mails.words(new Schedule(
                                Schedule.Hours.ALWAYS, new Period(Optional.of(first), Optional.of(first.plusDays(40))))
                        .statement()))
                .isEqualTo("from 1 December 2026 to 10 January 2027");
    }

    @Test
    void aRuleThatPicksOutNothingIsAnErrorAndOneForEveryMessageAChoice() {
        assertThatThrownBy(() -> rule("n", new Nothing(), new Nothing(), List.of(FILE), true))
                .hasMessageContaining("choose every message on purpose");
        assertThat(rule("n", new Everything(), new Nothing(), List.of(FILE), true)
                        .hasExceptions())
                .isFalse();
    }

    @Test
    void aRuleThatDoesNothingMayBeKeptPausedButNotSwitchedOn() {
        assertThat(RuleBook.of(List.of(rule("n", new Everything(), new Nothing(), List.of(), false)))
                        .faults())
                .isEmpty();
        assertThat(RuleBook.of(List.of(rule("n", new Everything(), new Nothing(), List.of(), true)))
                        .faults())
                .singleElement()
                .asString()
                .contains("does nothing: add a step");
    }

    @Test
    void handingOnAndMarkingGoOnFilingAndAnsweringEnd() {
        Step answer = new Step.Reply("", "x", Duration.ofDays(7));
        assertThat(Ending.presetFor(new Nothing(), List.of(REDIRECT, READ))).isEqualTo(Ending.CONTINUE);
        assertThat(Ending.presetFor(new Nothing(), List.of(REDIRECT, FILE))).isEqualTo(Ending.STOP_HERE);
        assertThat(Ending.presetFor(new Nothing(), List.of(answer))).isEqualTo(Ending.STOP_HERE);
        assertThat(Ending.presetFor(new Everything(), List.of(answer)))
                .as("an absence keeps no other rule from its work")
                .isEqualTo(Ending.CONTINUE);
    }

    @Test
    void whatCanNotBeDoneIsRefusedWhereItIsSaid() {
        assertThatThrownBy(() -> new Step.File(" inbox ")).hasMessageContaining("other than the inbox");
        assertThatThrownBy(() -> new Step.Redirect(List.of())).hasMessageContaining("at least one address");
        assertThatThrownBy(() -> new Step.Reply("", "  ", Duration.ofDays(7))).hasMessageContaining("has no text");
        assertThatThrownBy(() -> new Step.Reply("", "x", Duration.ofHours(5))).hasMessageContaining("at most once");
        assertThatThrownBy(() -> new RuleId("a b")).hasMessageContaining("letters, digits and hyphens");
        assertThatThrownBy(() -> rule(" ", new Everything(), new Nothing(), List.of(FILE), true))
                .hasMessageContaining("give the rule a name");
    }

    @Test
    void twoRulesOfOneBookNeverShareAnId() {
        Rule rule = rule("n", new Everything(), new Nothing(), List.of(FILE), true);
        assertThatThrownBy(() -> RuleBook.of(List.of(rule, rule))).hasMessageContaining("two rules have the id r");
    }

    @Test
    void stepsReadAsOneLine() {
        MailAddress duty = MailAddress.of("duty@ostrel-gardens.example");
        assertThat(Mails.words(
                        new Step.Redirect(List.of(duty), List.of("Guides"), false, Release.Plain.AT_ONCE).statement()))
                .isEqualTo("redirected to duty@ostrel-gardens.example and the group “Guides”");
        TargetFolder senders = new TargetFolder("Senders", Optional.of(TargetFolder.Each.SENDER), Optional.empty());
        assertThat(Mails.words(new Step.File(senders).statement()))
                .isEqualTo("filed in Senders, one folder for each sender");
        assertThat(Mails.words(new Step.Copy(senders.below("a/b%c")).statement()))
                .isEqualTo("copied to Senders/a_b_c");
        TargetFolder inbox = new TargetFolder("inbox", Optional.empty(), Optional.of(duty));
        assertThat(Mails.words(new Step.File(inbox).statement()))
                .isEqualTo("filed in the inbox of duty@ostrel-gardens.example");
        assertThat(Mails.words(new Step.Remind(0).statement())).isEqualTo("flagged, with a reminder the same day");
        assertThat(new Step.Remind(3).mark(LocalDate.of(2026, 12, 30)).add())
                .containsExactly("\\Flagged", "look-by-2027-01-02");
        assertThat(Mails.words(ReplyFrequency.aDay(3).statement()))
                .isEqualTo("to each request, at most 3 times a day per sender");
        assertThat(Mails.words(ReplyFrequency.PRESET.statement())).isEqualTo("once per sender in 7 days");
        assertThat(ForwardOptions.Heading.PRESET.of("Visit?")).isEqualTo("Fwd: Visit?");
        assertThat(new ForwardOptions.Heading("[tour]", false).of("Visit?")).isEqualTo("[tour] Visit?");
    }

    @Test
    void settingsOfStepsThatCanNotBeMeantAreRefusedWithTheWayOut() {
        assertThatThrownBy(() -> ReplyFrequency.aDay(4)).hasMessageContaining("one to 3 times a day");
        assertThatThrownBy(() -> new Step.Remind(400)).hasMessageContaining("within 0 to 365 days");
        assertThatThrownBy(() -> new ForwardOptions.Heading(" ", true)).hasMessageContaining("needs words");
        assertThatThrownBy(() -> new ForwardOptions.Heading("a\nb", false)).hasMessageContaining("one line");
        assertThatThrownBy(() -> new AnswersTo.InText("(", List.of(MailAddress.of("form@ostrel-gardens.example"))))
                .hasMessageContaining("is no pattern");
        assertThatThrownBy(() -> new AnswersTo.InText(AnswersTo.InText.USUAL, List.of()))
                .hasMessageContaining("name the sender of the form");
    }
}
