package app.jubek.core.review;

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
import app.jubek.core.exchange.Loops;
import app.jubek.core.exchange.MailboxHere;
import app.jubek.core.people.AddressBook;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.step.Step;
import app.jubek.core.template.Prepared;
import app.jubek.core.view.MessageView;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class ReviewTest {
    private static final Instant NOW = Instant.parse("2026-04-01T10:00:00Z");

    /** Usual hours, and those of the gate, which opens at weekends. */
    private static final Opening OPENING = Opening.usual(ZoneOffset.UTC)
            .with(Set.of(), Map.of("Gate", Opening.of(ZoneOffset.UTC, List.of("saturday 9:00-17:00"))));

    private static final List<String> WORDS =
            List.of("guided visit", "class booking", "price list", "lost glasses", "photo permit", "term dates");
    private final Random random = new Random(20_261_126);
    private Corpus.View past = past();

    private static Corpus.View past() {
        Corpus corpus = new Corpus(2_000, Long.MAX_VALUE);
        for (int i = 0; i < 240; i++) {
            String subject = WORDS.get(i % WORDS.size()) + " " + i
                    + (i % 24 == 0 ? " is not cancelled" : i % 24 == 6 ? " was cancelled" : "")
                    + (i % 5 == 0 ? " for the artwork" : "");
            MessageView seen =
                    Mails.view(Mails.read(Mails.from("w" + i % 7 + "@school" + i % 4 + ".example", subject, "hello")));
            corpus.add(new PastMessage(i, Instant.EPOCH.plusSeconds(i), seen));
        }
        return corpus.since(Instant.EPOCH);
    }

    private static Criterion words(String... phrases) {
        return TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(phrases));
    }

    private static Criterion from(String domain) {
        return new AddressCriterion(
                AddressCriterion.AddressField.SENDER,
                AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW,
                List.of(domain),
                false);
    }

    private static Rule rule(String id, Criterion picksOut, Ending ending, Step... steps) {
        return new Rule(new RuleId(id), 1, id, picksOut, new Nothing(), List.of(steps), ending, true);
    }

    private static Rule files(String id, Criterion picksOut) {
        return rule(id, picksOut, Ending.STOP_HERE, new Step.File(id));
    }

    private static Step.Redirect redirect(String local) {
        return new Step.Redirect(List.of(MailAddress.of(local + "@ostrel-gardens.example")));
    }

    private static Step answer() {
        return new Step.Reply("", "Thank you.", Duration.ofDays(7));
    }

    /** A sensible book over the words and domains there are, in seeded order. */
    private List<Rule> sensible() {
        List<String> words = new ArrayList<>(WORDS);
        Collections.shuffle(words, random);
        List<Rule> rules = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            rules.add(files("sensible-" + i, words(words.get(i))));
        }
        return rules;
    }

    private static Schedule days(String first, String last) {
        return new Schedule(
                Schedule.Hours.ALWAYS,
                new Period(Optional.of(LocalDate.parse(first)), Optional.of(LocalDate.parse(last))));
    }

    /** With records that say how often the planted rule left a message unanswered and moved it. */
    private List<Finding> review(RuleBook book) {
        Unanswered often = new Unanswered(new RuleId("fault"), 4, 20);
        MailboxHere visits = Mails.here(Mails.VISITS, AddressBook.empty(), book);
        List<Loops.Tried> tried = new Loops(List.of(visits)).of(visits, Loops.Examples.none());
        return Review.of(book, past, Mails.VISITS, Prepared.nothing(), OPENING, NOW, List.of(often), tried);
    }

    private Set<Sort> sorts(List<Rule> rules) {
        return review(RuleBook.of(rules)).stream().map(Finding::sort).collect(Collectors.toSet());
    }

    private List<Rule> fault(Sort sort) {
        String word = WORDS.get(random.nextInt(WORDS.size()));
        Rule mail = rule("mail", words(word), Ending.CONTINUE, redirect("noor"));
        return switch (sort) {
            case BACK_TO_OWN_MAILBOX -> List.of(rule("fault", words(word), Ending.CONTINUE, redirect("photos")));
            case CAN_NEVER_MATCH ->
                List.of(files(
                        "fault",
                        new Group(Group.Quantifier.ALL, List.of(from("school0.example"), from("school1.example")))));
            case NEVER_ACTIVE, GAP_BETWEEN, BOTH_ACTIVE, NAMES_A_DAY_THAT_PASSES -> ofTime(sort, word);
            case NEVER_REACHED ->
                List.of(
                        files("all", from("example")),
                        files("fault", new Group(Group.Quantifier.ALL, List.of(from("school1.example"), words(word)))));
            case SAME_AS_ANOTHER -> List.of(mail, rule("same", words(word), Ending.CONTINUE, redirect("noor")));
            case TWO_REPLIES ->
                List.of(
                        rule("first", words(word), Ending.CONTINUE, answer()),
                        rule("fault", from("school0.example"), Ending.STOP_HERE, answer()),
                        rule("again", from("school1.example"), Ending.STOP_HERE, answer()));
            case UNANSWERED_AND_MOVED ->
                List.of(rule("fault", words(word), Ending.STOP_HERE, answer(), new Step.File("fault")));
            case FORWARD_AND_REDIRECT ->
                List.of(
                        mail,
                        rule(
                                "fault",
                                from("example"),
                                Ending.CONTINUE,
                                new Step.Forward(redirect("noor").to(), "")));
            case LOOP_WITHOUT_END ->
                List.of(rule(
                        "fault",
                        words(word),
                        Ending.CONTINUE,
                        new Step.Redirect(List.of(MailAddress.of("noor@parish-paper.example"))),
                        new Step.Forward(
                                List.of(
                                        MailAddress.of("desk@parish-paper.example"),
                                        MailAddress.of("bookings@valley-buses.example")),
                                "")));
            case GOES_ROUND ->
                List.of(rule(
                        "fault",
                        words(word),
                        Ending.CONTINUE,
                        new Step.Forward(
                                List.of(
                                        redirect("noor").to().get(0),
                                        redirect("gate").to().get(0)),
                                "")));
            case TOO_BROAD -> List.of(rule("fault", from("example"), Ending.CONTINUE, redirect("noor")));
            case PART_OF_LONGER_WORDS -> List.of(rule("fault", words("art"), Ending.CONTINUE, redirect("noor")));
            case NEGATED -> List.of(rule("fault", words("cancelled"), Ending.CONTINUE, redirect("noor")));
            case COVERED_VALUES -> List.of(rule("fault", words(word, "a " + word), Ending.CONTINUE, redirect("noor")));
            case NEVER_MATCHED -> List.of(rule("fault", words("no such words"), Ending.CONTINUE, redirect("noor")));
        };
    }

    private static List<Rule> ofTime(Sort sort, String word) {
        Criterion own = new Group(Group.Quantifier.ALL, List.of(from("school1.example"), words(word)));
        Rule mail = rule("mail", own, Ending.CONTINUE, redirect("noor"));
        return switch (sort) {
            case NEVER_ACTIVE ->
                List.of(rule("fault", words(word), Ending.CONTINUE, redirect("noor"))
                        .active(new Schedule(
                                Schedule.Hours.ALWAYS,
                                new Period(Optional.empty(), Optional.of(LocalDate.of(2026, 3, 1))))));
            case GAP_BETWEEN ->
                List.of(
                        mail.active(days("2026-03-01", "2026-06-30")),
                        rule("fault", own, Ending.CONTINUE, redirect("ivo")).active(days("2026-07-04", "2026-08-31")));
            case BOTH_ACTIVE ->
                List.of(
                        mail.active(days("2026-03-01", "2026-06-30")),
                        rule("fault", own, Ending.CONTINUE, redirect("ivo")).active(days("2026-06-29", "2026-08-31")));
            case NAMES_A_DAY_THAT_PASSES ->
                List.of(rule(
                                "fault",
                                words(word),
                                Ending.CONTINUE,
                                new Step.Reply("", "We are back on 5 May 2026.", Duration.ofDays(7)))
                        .active(days("2026-04-20", "2026-05-10")));
            default -> throw new IllegalArgumentException(sort.toString());
        };
    }

    @Test
    void nothingIsFoundInASensibleBook() {
        for (int i = 0; i < 20; i++) {
            assertThat(sorts(sensible())).isEmpty();
        }
    }

    @Test
    void aPlantedFaultIsFoundInEveryBookAndItsRemedyTakesItAway() {
        for (int round = 0; round < 20; round++) {
            for (Sort sort : EnumSet.allOf(Sort.class)) {
                List<Rule> rules = new ArrayList<>(fault(sort));
                rules.addAll(sensible());
                RuleBook book = RuleBook.of(rules);
                List<Finding> found = review(book);
                assertThat(found).extracting(Finding::sort).as(sort.toString()).contains(sort);
                Finding finding =
                        found.stream().filter(f -> f.sort() == sort).findFirst().orElseThrow();
                finding.remedy()
                        .ifPresent(remedy -> assertThat(review(remedy.book()))
                                .as(sort + ": " + Mails.words(remedy.what()))
                                .noneMatch(f -> f.sort() == sort && f.rule().equals(finding.rule())));
            }
        }
    }

    @Test
    void aRuleIsNotBlamedForTheTimeInWhichItRests() {
        Schedule later = new Schedule(
                Schedule.Hours.ALWAYS, new Period(Optional.of(LocalDate.of(2090, 1, 1)), Optional.empty()));
        Rule now = rule("now", words(WORDS.get(0)), Ending.CONTINUE, redirect("noor"));
        Rule then = new Rule(
                new RuleId("then"), 1, "then", now.picksOut(), now.leavesOut(), now.steps(), now.ending(), later, true);
        assertThat(sorts(List.of(then)))
                .as("no past mail falls into its days, and nobody stops it")
                .isEmpty();
        assertThat(sorts(List.of(now, then)))
                .as("the same at another time is something else")
                .isEmpty();
    }

    private Set<Sort> inTurn(Schedule one, Schedule other) {
        return sorts(List.of(
                rule("one", words(WORDS.get(0)), Ending.CONTINUE, answer()).active(one),
                rule("other", words(WORDS.get(0)), Ending.CONTINUE, answer()).active(other)));
    }

    private static Schedule by(Schedule.Hours hours, String name) {
        Optional<String> of = Optional.of(name).filter(each -> !each.isEmpty());
        return new Schedule(hours, of, Schedule.OnClosedDays.AS_HOURS_ARE, List.of(), Optional.empty());
    }

    @Test
    void rulesThatRelieveEachOtherLeaveNoGapAndNeverActAtOnce() {
        Schedule may = days("2026-05-01", "2026-05-31");
        assertThat(inTurn(may, days("2026-06-01", "2026-06-30"))).isEmpty();
        assertThat(inTurn(may, days("2026-06-02", "2026-06-30"))).containsExactly(Sort.GAP_BETWEEN);
        assertThat(inTurn(may, days("2026-05-31", "2026-06-30")))
                .as("also said of the two replies")
                .containsExactlyInAnyOrder(Sort.BOTH_ACTIVE, Sort.TWO_REPLIES);
        assertThat(inTurn(may, days("2026-09-01", "2026-09-30")))
                .as("two seasons")
                .isEmpty();
        assertThat(inTurn(
                        new Schedule(Schedule.Hours.INSIDE, may.periods().get(0)),
                        new Schedule(
                                Schedule.Hours.INSIDE,
                                days("2026-06-01", "2026-06-30").periods().get(0))))
                .as("31 May is a Sunday")
                .isEmpty();
        Schedule first = may.during(List.of(
                may.periods().get(0), days("2026-06-20", "2026-06-25").periods().get(0)));
        assertThat(inTurn(first, days("2026-06-01", "2026-06-19")))
                .as("the one in the middle, and the first once more")
                .isEmpty();
    }

    @Test
    void whoActsOutsideHoursThatAnotherDoesNotKeepLeavesGapsOrActsBesideIt() {
        assertThat(inTurn(by(Schedule.Hours.INSIDE, ""), by(Schedule.Hours.OUTSIDE, "")))
                .isEmpty();
        assertThat(inTurn(by(Schedule.Hours.INSIDE, "Gate"), by(Schedule.Hours.OUTSIDE, "")))
                .contains(Sort.GAP_BETWEEN);
        Rule everyTime = rule("every-time", words(WORDS.get(0)), Ending.STOP_HERE, redirect("noor"));
        assertThat(sorts(List.of(
                        rule("one", everyTime.picksOut(), Ending.STOP_HERE, redirect("ivo"))
                                .active(by(Schedule.Hours.INSIDE, "Gate")),
                        rule("other", everyTime.picksOut(), Ending.STOP_HERE, redirect("ada"))
                                .active(by(Schedule.Hours.OUTSIDE, "")),
                        everyTime)))
                .as("one more rule stands in")
                .doesNotContain(Sort.GAP_BETWEEN);
        Schedule alsoClosed = new Schedule(
                Schedule.Hours.INSIDE, Optional.empty(), Schedule.OnClosedDays.ALSO, List.of(), Optional.empty());
        assertThat(inTurn(alsoClosed, by(Schedule.Hours.OUTSIDE, "")))
                .as("no closed day comes near")
                .isEmpty();
    }

    @Test
    void thatFewMessagesStayedUnansweredIsNoFinding() {
        assertThat(new Unanswered(new RuleId("r"), 2, 2).isFrequent()).isFalse();
        assertThat(new Unanswered(new RuleId("r"), 3, 16).isFrequent()).isFalse();
        assertThat(new Unanswered(new RuleId("r"), 3, 15).isFrequent()).isTrue();
    }

    @Test
    void aFindingSaysItsCauseWithAnExampleAndWhatOneClickDoes() {
        Finding finding = review(RuleBook.of(fault(Sort.NEGATED))).get(0);
        assertThat(finding.cause()).isEqualTo(FindingText.PICKS_WHAT_DENIES.with(10, "not cancelled"));
        assertThat(past.message(finding.example().orElseThrow()).subject()).contains("not cancelled");
        assertThat(finding.remedy().orElseThrow().what()).isEqualTo(RemedyText.LEAVE_OUT.with("not cancelled"));
        assertThat(Mails.words(
                        finding.remedy().orElseThrow().book().rules().get(0).statement()))
                .contains("except mail with “not cancelled” in the subject");
    }

    @Test
    void withoutPastMailNothingIsSaidAboutIt() {
        past = new Corpus(10, Long.MAX_VALUE).since(Instant.EPOCH);
        assertThat(sorts(fault(Sort.NEVER_MATCHED))).isEmpty();
        assertThat(sorts(fault(Sort.CAN_NEVER_MATCH))).containsExactly(Sort.CAN_NEVER_MATCH);
    }
}
