package app.jubek.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.exchange.Exchange.How;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.people.PeopleGroup;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.Reason;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.ForwardOptions;
import app.jubek.core.step.Release;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Loops as they are shown before a rule is switched on. */
class LoopsTest {
    private static final Criterion SCHOOL_VISITS =
            TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of("school visit"));
    private static final MailAddress PRESS = MailAddress.of("desk@parish-paper.example");
    private static final MailAddress BUSES = MailAddress.of("bookings@valley-buses.example");
    private static final MailAddress EDUCATION = MailAddress.of("education@ostrel-gardens.example");
    private static final OwnSide EDUCATORS =
            new OwnSide(EDUCATION.named("Education"), List.of(), List.of("ostrel-gardens.example"));

    private static Rule rule(String id, Step... steps) {
        return rule(id, new Nothing(), steps);
    }

    private static Rule rule(String id, Criterion leavesOut, Step... steps) {
        return new Rule(new RuleId(id), 1, id, SCHOOL_VISITS, leavesOut, List.of(steps), Ending.CONTINUE, true);
    }

    private static Step forward(MailAddress... to) {
        return new Step.Forward(List.of(to), "");
    }

    private static Step redirect(MailAddress to) {
        return new Step.Redirect(List.of(to));
    }

    private static Step reply(ReplyFrequency frequency) {
        return new Step.Reply(Optional.empty(), "", "Thank you.", ReplyOptions.usual(frequency));
    }

    private static MailboxHere mailbox(OwnSide own, AddressBook people, Rule... rules) {
        return Mails.here(own, people, RuleBook.of(List.of(rules)));
    }

    private static MailboxHere visits(Rule... rules) {
        return mailbox(Mails.VISITS, AddressBook.empty(), rules);
    }

    private static Exchange first(MailboxHere... here) {
        return new Loops(List.of(here))
                .of(here[0], Loops.Examples.none())
                .get(0)
                .exchange()
                .orElseThrow();
    }

    private static Optional<Reason> endedBy(Exchange exchange) {
        return exchange.endedBy().map(NotDone::reason);
    }

    @Test
    void oneAnswerToEachSenderEndsWhateverAnswersIt() {
        Exchange exchange = first(visits(rule("reply", reply(ReplyFrequency.PRESET))));

        assertThat(exchange.how()).isEqualTo(How.CAME_BACK);
        assertThat(exchange.messages()).hasSize(3);
    }

    @Test
    void threeAnswersADayGoRoundUntilTheThird() {
        Exchange exchange = first(visits(rule("documents", reply(ReplyFrequency.aDay(3)))));

        assertThat(exchange.how()).isEqualTo(How.WENT_ROUND);
        assertThat(exchange.among()).isEqualTo(Correspondent.ANSWERS_EVERYTHING);
        assertThat(exchange.messages()).hasSize(7);
        assertThat(endedBy(exchange)).contains(Reason.ANSWERED_BEFORE);
    }

    @Test
    void twoOutsideWhoAnswerEverythingAreSentEachOthersAnswersForEver() {
        Exchange exchange = first(visits(rule("both", forward(PRESS, BUSES))));

        assertThat(exchange.how()).isEqualTo(How.ENDLESS);
        assertThat(exchange.messages().subList(1, 5))
                .extracting(passed -> passed.from().address())
                .containsExactly(
                        "visits@ostrel-gardens.example",
                        "bookings@valley-buses.example",
                        "visits@ostrel-gardens.example",
                        "desk@parish-paper.example");
    }

    @Test
    void twoRulesWithOneEachDoTheSame() {
        assertThat(first(visits(rule("press", forward(PRESS)), rule("buses", forward(BUSES))))
                        .how())
                .isEqualTo(How.ENDLESS);
    }

    @Test
    void oneDestinationGetsNothingOfItsOwnBack() {
        Exchange exchange = first(visits(rule("press", forward(PRESS))));

        assertThat(exchange.how()).isEqualTo(How.CAME_BACK);
        assertThat(endedBy(exchange)).contains(Reason.BACK_TO_SENDER);
    }

    @Test
    void leavingOutTheirMailEndsIt() {
        Criterion theirs = new AddressCriterion(
                AddressCriterion.AddressField.SENDER,
                AddressCriterion.AddressMatch.IS,
                List.of(PRESS.address(), BUSES.address()),
                false);

        assertThat(first(visits(rule("both", theirs, forward(PRESS, BUSES)))).how())
                .isEqualTo(How.QUIET);
    }

    @Test
    void colleaguesAnswerAsPeopleAndTheirProgramsKeepToTheStandard() {
        MailAddress gate = MailAddress.of("gate@ostrel-gardens.example");

        Exchange exchange = first(visits(rule("colleagues", forward(EDUCATION, gate))));

        assertThat(exchange.how()).isEqualTo(How.WENT_ROUND);
        assertThat(exchange.among()).isEqualTo(Correspondent.PERSON);
    }

    @Test
    void whatTwoMailboxesHandToEachOtherIsNotHandedBack() {
        MailAddress visits = Mails.VISITS.identity();
        for (Step there : List.of(forward(EDUCATION), redirect(EDUCATION))) {
            for (Step back : List.of(forward(visits), redirect(visits))) {
                Exchange exchange = first(
                        visits(rule("there", there)), mailbox(EDUCATORS, AddressBook.empty(), rule("back", back)));

                assertThat(exchange.how()).isEqualTo(How.CAME_BACK);
                assertThat(endedBy(exchange)).contains(Reason.BACK_TO_SENDER);
            }
        }
    }

    @Test
    void theHopMarkEndsWhatGoesRoundAmongThree() {
        MailAddress gate = MailAddress.of("gate@ostrel-gardens.example");
        OwnSide gatekeepers = new OwnSide(gate, List.of(), List.of("ostrel-gardens.example"));

        Exchange exchange = first(
                visits(rule("there", redirect(EDUCATION))),
                mailbox(EDUCATORS, AddressBook.empty(), rule("further", forward(gate))),
                mailbox(gatekeepers, AddressBook.empty(), rule("back", redirect(Mails.VISITS.identity()))));

        assertThat(exchange.how()).isEqualTo(How.WENT_ROUND);
        assertThat(endedBy(exchange)).contains(Reason.LOOP);
        assertThat(exchange.messages())
                .extracting(passed -> passed.by().getClass().getSimpleName())
                .containsExactly("Sender", "OfRule", "OfRule", "OfRule");
    }

    @Test
    void whatAPersonLetsGoOneByOneIsNoLoop() {
        ForwardOptions looked = ForwardOptions.note("").released(Release.Plain.ON_APPROVAL);

        assertThat(first(visits(rule("looked-at", new Step.Forward(List.of(PRESS, BUSES), List.of(), looked, false))))
                        .how())
                .isEqualTo(How.QUIET);
    }

    @Test
    void aLargeGroupIsTriedWithAFewOfThem() {
        List<MailAddress> members = IntStream.range(0, 300)
                .mapToObj(i -> MailAddress.of("member" + i + "@friends" + i + ".example"))
                .toList();
        AddressBook people = AddressBook.of(List.of(), List.of(new PeopleGroup("friends", "friends", members)));
        Step toAll = new Step.Forward(List.of(), List.of("friends"), ForwardOptions.note(""), false);

        assertThat(first(mailbox(Mails.VISITS, people, rule("friends", toAll))).how())
                .isEqualTo(How.ENDLESS);
    }

    @Test
    void everyRuleThatSendsIsTriedWithAMessageThatItPicks() {
        Rule schools = new Rule(
                new RuleId("schools"),
                1,
                "schools",
                new AddressCriterion(
                        AddressCriterion.AddressField.SENDER,
                        AddressCriterion.AddressMatch.AT_DOMAIN,
                        List.of("birkhall-school.example"),
                        false),
                new Nothing(),
                List.of(reply(ReplyFrequency.once(Duration.ofDays(1)))),
                Ending.CONTINUE,
                true);
        MailboxHere visits = visits(schools, rule("filed", new Step.File("Visits")), rule("sent", forward(PRESS)));

        assertThat(new Loops(List.of(visits))
                        .of(visits, Loops.Examples.none()).stream()
                                .filter(tried -> tried.exchange().isPresent())
                                .map(tried -> tried.rule().name()))
                .isEqualTo(Stream.of("schools", "sent").toList());
    }

    /** What another mailbox sends on, and to whom, is its people's to know. */
    @Test
    void onlyWhomAMailboxItselfSendsMailIsNamedToItsPeople() {
        Exchange exchange = first(
                visits(rule("there", redirect(EDUCATION), forward(PRESS))),
                mailbox(EDUCATORS, AddressBook.empty(), rule("both", forward(PRESS, BUSES))));

        assertThat(exchange.how()).isEqualTo(How.ENDLESS);
        assertThat(exchange.messages()).extracting(Passed::from).contains(BUSES);
        assertThat(exchange.answering(Mails.VISITS.identity())).doesNotContain(BUSES);
        assertThat(exchange.endedAt(Mails.VISITS.identity())).isEmpty();
    }

    @Test
    void theGraphMarksWhereMailComesBackAndWhatGoesRoundThere() {
        MailboxHere visits = visits(rule("both", forward(PRESS, BUSES)), rule("there", redirect(EDUCATION)));
        MailboxHere educators = mailbox(
                EDUCATORS, AddressBook.empty(), rule("back", forward(MailAddress.of("photos@ostrel-gardens.example"))));
        List<MailboxHere> here = List.of(visits, educators);

        MailGraph graph = MailGraph.of(here, new Loops(here).of(visits, Loops.Examples.none()));

        assertThat(graph.nodes())
                .extracting(MailGraph.Node::id, MailGraph.Node::where)
                .contains(
                        tuple("visits@ostrel-gardens.example", MailGraph.Where.HERE),
                        tuple("education@ostrel-gardens.example", MailGraph.Where.HERE),
                        tuple("desk@parish-paper.example", MailGraph.Where.OUTSIDE));
        assertThat(graph.edges())
                .extracting(
                        MailGraph.Edge::from,
                        MailGraph.Edge::to,
                        edge -> edge.round().isPresent())
                .contains(
                        tuple("visits@ostrel-gardens.example", "bookings@valley-buses.example", true),
                        tuple("bookings@valley-buses.example", "visits@ostrel-gardens.example", true),
                        tuple("visits@ostrel-gardens.example", "education@ostrel-gardens.example", false));
        assertThat(graph.edges().stream().filter(edge -> edge.to().startsWith("education@")))
                .as("a mailbox is one, by whichever of its addresses")
                .allMatch(MailGraph.Edge::inCircle);
    }
}
