package app.jubek.core.decide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import app.jubek.core.matching.Value;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.Reason;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.Flag;
import app.jubek.core.step.FollowUp;
import app.jubek.core.step.Release;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.template.Letter;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateId;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class EngineTest {
    private static final Step TO_EDUCATION = redirect("education@ostrel-gardens.example");
    private static final Step SEEDS = new Step.File("Seeds");
    private static final Step ANSWER = new Step.Reply("", "Thank you.", Duration.ofDays(7));
    private static final String MAIL = Mails.from("anna@school.example", "Guided visit", "The invoice comes later.");

    private static Step redirect(String to) {
        return new Step.Redirect(List.of(MailAddress.of(to)));
    }

    private static Criterion words(String... phrases) {
        return TextCriterion.phrases(MessagePart.Kind.SUBJECT_OR_TEXT, List.of(phrases));
    }

    private static Rule rule(String name, Criterion picksOut, Step... steps) {
        List<Step> all = List.of(steps);
        return new Rule(new RuleId(name), 1, name, picksOut, new Nothing(), all, Ending.presetFor(picksOut, all), true);
    }

    private static Rule except(Rule rule, Criterion leavesOut) {
        return new Rule(rule.id(), 1, rule.name(), rule.picksOut(), leavesOut, rule.steps(), rule.ending(), rule.on());
    }

    private static Decision decide(String mail, Rule... rules) {
        return Engine.decide(CompiledBook.of(RuleBook.of(List.of(rules))), Mails.read(mail), Mails.context());
    }

    private static List<String> done(Decision decision) {
        return decision.planned().stream()
                .map(step -> Mails.words(step.statement()))
                .toList();
    }

    private static List<Reason> reasons(Decision decision) {
        return decision.notDone().stream().map(NotDone::reason).toList();
    }

    @Test
    void theOrderOfTheListIsTheOrderOfWorkAndARuleThatEndsEnds() {
        Decision decision = decide(
                MAIL,
                rule("a", words("visit"), TO_EDUCATION),
                rule("b", words("guided"), SEEDS),
                rule("c", words("visit"), SEEDS));
        assertThat(done(decision)).containsExactly("redirected to education@ostrel-gardens.example", "filed in Seeds");
        assertThat(decision.trace().get(2)).isInstanceOf(Outcome.NotReached.class);
        assertThat(decision.staysInInbox()).isFalse();
    }

    @Test
    void passingOnKeepsTheMessageInPlaceAndSoDoesAnAnswer() {
        assertThat(decide(MAIL, rule("a", words("visit"), TO_EDUCATION)).staysInInbox())
                .isTrue();
        assertThat(decide(MAIL, rule("a", words("visit"), ANSWER)).staysInInbox())
                .isTrue();
    }

    /** An answer that comes a day late, after an outage, is left to a person; what is handed on goes all the same. */
    @Test
    void anOverLateAnswerWaitsForAPerson() {
        Instant received = Mails.NOW.minus(Duration.ofHours(25));
        DecisionContext late = Mails.at(Mails.NOW, received, ReplyHistory.empty(), Map.of());
        Rule rule = rule("a", words("visit"), ANSWER, TO_EDUCATION);
        Decision decision = Engine.decide(CompiledBook.of(RuleBook.of(List.of(rule))), Mails.read(MAIL), late);
        assertThat(reasons(decision)).containsExactly(Reason.OVER_LATE);
        assertThat(decision.notDone().get(0).waits()).isTrue();
        assertThat(done(decision)).containsExactly("redirected to education@ostrel-gardens.example");
    }

    @Test
    void anExceptionBeatsItsCriteriaAndBitesOnTheTextAlone() {
        Decision decision = decide(MAIL, except(rule("a", words("guided visit"), TO_EDUCATION), words("invoice")));
        assertThat(decision.planned()).isEmpty();
        assertThat(decision.trace().get(0)).isInstanceOf(Outcome.Excluded.class);
    }

    /** What a colleague answers is what the rule waits for, whatever stands in its subject. */
    @Test
    void aMessageIsFollowedUpOnceButNotTheAnswerOfAColleague() {
        Rule first = rule("a", words("visit"), new FollowUp(3), TO_EDUCATION);
        Rule second = rule("b", words("visit"), new FollowUp(5));
        assertThat(done(decide(MAIL, first, second)))
                .containsExactly(
                        "redirected to education@ostrel-gardens.example",
                        "brought back if nobody deals with it within 3 working days");
        Decision answer = Engine.decide(
                CompiledBook.of(RuleBook.of(List.of(second))),
                Mails.read(Mails.from("education@ostrel-gardens.example", "Re: Guided visit", "Done.")),
                Mails.inConversation());
        assertThat(reasons(answer)).containsExactly(Reason.CONVERSATION);
    }

    @Test
    void everyRuleSaysInWordsWhatItMadeOfTheMessage() {
        Rule off = rule("off", words("visit"), SEEDS);
        Rule paused = new Rule(off.id(), 1, "off", off.picksOut(), new Nothing(), off.steps(), off.ending(), false);
        Decision decision = decide(
                MAIL,
                paused,
                rule("miss", words("price list"), SEEDS),
                rule("hit", words("guided visit"), TO_EDUCATION));
        assertThat(Mails.words(decision.statements()))
                .containsExactly(
                        "“off”: paused.",
                        "“miss”: not picked, because it is not mail with “price list” in the subject or text.",
                        "“hit”: picked, because it is mail with “guided visit” in the subject or text; later rules continue.",
                        "To be redirected to education@ostrel-gardens.example by “hit”.",
                        "It stays in the inbox.");
    }

    @Test
    void mailThatCameBeforeARuleWasSwitchedOnIsNotTouchedByIt() {
        Rule rule = rule("a", words("visit"), SEEDS);
        Map<RuleId, Instant> since = Map.of(rule.id(), Mails.NOW.plusSeconds(1));
        DecisionContext at = Mails.at(Mails.NOW, Mails.NOW, ReplyHistory.empty(), since);
        Decision decision = Engine.decide(CompiledBook.of(RuleBook.of(List.of(rule))), Mails.read(MAIL), at);
        assertThat(decision.trace().get(0)).isInstanceOf(Outcome.NotYetOn.class);
    }

    @Test
    void anOutsideAddressIsHeldAndInsideOneIsNot() {
        Decision decision = decide(
                MAIL,
                rule(
                        "a",
                        new Everything(),
                        new Step.Forward(
                                List.of(
                                        MailAddress.of("x@elsewhere.example"),
                                        MailAddress.of("noor@volunteers.ostrel-gardens.example")),
                                "")));
        assertThat(done(decision)).containsExactly("forwarded to noor@volunteers.ostrel-gardens.example");
        assertThat(decision.notDone()).singleElement().satisfies(n -> {
            assertThat(n.waits()).isTrue();
            assertThat(n.reason()).isEqualTo(Reason.OUTSIDE);
        });
    }

    @Test
    void nothingGoesBackToItsWriterToTheMailboxItselfOrTwiceToOnePlace() {
        String inside = Mails.from("tomas@ostrel-gardens.example", "visit", "x");
        assertThat(reasons(decide(inside, rule("a", words("visit"), redirect("Tomas@ostrel-gardens.example")))))
                .containsExactly(Reason.BACK_TO_SENDER);
        assertThat(reasons(decide(MAIL, rule("a", words("visit"), redirect("photos@ostrel-gardens.example")))))
                .containsExactly(Reason.BACK_TO_MAILBOX);
        Decision twice = decide(MAIL, rule("a", words("visit"), TO_EDUCATION), rule("b", words("visit"), TO_EDUCATION));
        assertThat(twice.planned())
                .singleElement()
                .satisfies(step -> assertThat(step.alsoBy()).containsExactly("b"));
    }

    @Test
    void aMessageIsAnsweredOnceTheFirstRuleDecidesEvenIfItsAnswerIsWithheld() {
        Rule goesOn = new Rule(
                new RuleId("a"), 1, "a", words("visit"), new Nothing(), List.of(ANSWER), Ending.CONTINUE, true);
        assertThat(reasons(decide(MAIL, goesOn, rule("b", words("visit"), ANSWER))))
                .containsExactly(Reason.SUPERSEDED);
        String list = Mails.from("anna@school.example", "visit", "x", "List-Id: <l.example>");
        assertThat(reasons(decide(list, goesOn, rule("b", words("visit"), ANSWER))))
                .containsExactly(Reason.LIST, Reason.SUPERSEDED);
    }

    @Test
    void anAnswerFromATemplateIsFilledFromTheMessageAndHeldWhereTheTemplateIsGone() {
        Rule answers = rule(
                "a",
                words("visit"),
                new Step.Reply(new TemplateId("visits"), ReplyOptions.usual(ReplyFrequency.PRESET)));
        assertThat(decide(MAIL, answers).notDone())
                .singleElement()
                .satisfies(not -> assertThat(not.reason()).isEqualTo(Reason.TEMPLATE_GONE))
                .satisfies(not -> assertThat(not.waits()).isTrue());
        Template silent = Template.plain(
                new TemplateId("visits"), 1, "Visits", Locale.ENGLISH, "", "{{sender.firstName}}", Map.of());
        assertThat(Engine.decide(
                                CompiledBook.of(RuleBook.of(List.of(answers))), Mails.read(MAIL), Mails.context(silent))
                        .notDone())
                .extracting(NotDone::reason)
                .containsExactly(Reason.TEMPLATE_EMPTY);
        Template template = Template.plain(
                new TemplateId("visits"),
                1,
                "Visits",
                Locale.ENGLISH,
                "Yes: {{subject}}",
                "To {{sender.address}}",
                Map.of());
        Decision decision = Engine.decide(
                CompiledBook.of(RuleBook.of(List.of(answers))), Mails.read(MAIL), Mails.context(template));
        assertThat(decision.planned())
                .singleElement()
                .extracting(step -> step.sending().orElseThrow().letter())
                .isEqualTo(Letter.plain("Yes: Guided visit", "To anna@school.example"));
    }

    @Test
    void aRuleRestsByTheTimeOfArrival() {
        Rule always = rule("nights", words("visit"), SEEDS);
        Rule nights = new Rule(
                always.id(),
                1,
                "nights",
                always.picksOut(),
                always.leavesOut(),
                always.steps(),
                Ending.CONTINUE,
                new Schedule(Schedule.Hours.OUTSIDE, Period.OPEN),
                true);
        CompiledBook book = CompiledBook.of(RuleBook.of(List.of(nights, always("days"))));
        Instant morning = Instant.parse("2026-03-30T08:00:00Z");
        Decision late = Engine.decide(
                book, Mails.read(MAIL), Mails.at(morning.plusSeconds(36_000), morning, ReplyHistory.empty(), Map.of()));
        assertThat(Mails.words(late.statements()))
                .contains("“nights”: resting when the message came in: it is active outside opening hours.");
        assertThat(late.trace().isPicked(1)).isTrue();
        Decision night = Engine.decide(
                book,
                Mails.read(MAIL),
                Mails.at(morning, morning.minusSeconds(36_000), ReplyHistory.empty(), Map.of()));
        assertThat(done(night)).contains("filed in Seeds");
    }

    private static Rule always(String name) {
        return rule(name, words("visit"), TO_EDUCATION);
    }

    @Test
    void reachingALimitStandsInTheDecision() {
        Rule pattern = rule(
                "pattern",
                new TextCriterion(
                        MessagePart.of(MessagePart.Kind.TEXT),
                        List.of(Value.of(MatchType.PATTERN, Comparison.FOLDED, "x+y")),
                        false),
                SEEDS);
        String longText = "word ".repeat(20_000);
        assertThat(Mails.words(decide(Mails.from("anna@school.example", "visit", longText), pattern)
                        .statements()))
                .contains("Note on the message: patterns looked through the first 65,536 characters of each text.");
        List<Rule> many =
                IntStream.range(0, 2_001).mapToObj(i -> always("r" + i)).toList();
        assertThatThrownBy(() -> RuleBook.of(many)).hasMessageContaining("at most 2000 rules");
    }

    @Test
    void aFencedMessageNeverLeaves() {
        RuleBook book = new RuleBook(List.of(rule("a", words("visit"), TO_EDUCATION, SEEDS)), words("invoice"));
        Decision decision = Engine.decide(CompiledBook.of(book), Mails.read(MAIL), Mails.context());
        assertThat(reasons(decision)).containsExactly(Reason.FENCE);
        assertThat(done(decision)).containsExactly("filed in Seeds");
    }

    @Test
    void mailLeavesFirstThenMarksAreSetAndOnlyThenTheMessageMoves() {
        Decision decision = decide(MAIL, rule("a", words("visit"), SEEDS, Step.Mark.with(Flag.SEEN), TO_EDUCATION));
        assertThat(done(decision))
                .containsExactly("redirected to education@ostrel-gardens.example", "marked read", "filed in Seeds");
    }

    @Test
    void theSameInputGivesTheSameDecision() {
        Rule rule = rule("a", words("visit"), TO_EDUCATION, ANSWER);
        assertThat(decide(MAIL, rule)).isEqualTo(decide(MAIL, rule));
        DecisionContext answered = Mails.at(
                Mails.NOW,
                new ReplyHistory(List.of(new ReplyHistory.Entry(
                        rule.id().value(), Set.of("anna@school.example"), Mails.NOW.minusSeconds(60)))));
        assertThat(reasons(Engine.decide(CompiledBook.of(RuleBook.of(List.of(rule))), Mails.read(MAIL), answered)))
                .containsExactly(Reason.ANSWERED_BEFORE);
    }

    /** What quotes would carry out what the fence keeps in; an answer without the original does not. */
    @Test
    void theFenceKeepsBackWhatIsHandedOnAndAnswersThatQuote() {
        ReplyOptions quoting = new ReplyOptions(
                ReplyFrequency.PRESET,
                Optional.empty(),
                AnswersTo.Header.RETURN_PATH,
                true,
                List.of(),
                List.of(),
                Optional.empty(),
                false,
                false,
                Release.Plain.AT_ONCE);
        Step quotes = new Step.Reply(Optional.empty(), "", "Thank you.", quoting);
        assertThat(reasons(fenced(TO_EDUCATION))).containsExactly(Reason.FENCE);
        assertThat(reasons(fenced(quotes))).containsExactly(Reason.FENCE);
        assertThat(fenced(ANSWER).planned()).hasSize(1);
    }

    private static Decision fenced(Step step) {
        RuleBook book = new RuleBook(List.of(rule("a", words("visit"), step)), words("invoice"), List.of());
        return Engine.decide(CompiledBook.of(book), Mails.read(MAIL), Mails.context());
    }
}
