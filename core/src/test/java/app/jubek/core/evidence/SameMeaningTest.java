package app.jubek.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.decide.Outcome;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.step.Step;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Figures on past mail say of every message what the engine would decide about it. */
class SameMeaningTest {
    private static final List<String> WORDS = List.of("visit", "seeds", "permit", "alarm", "price");
    private static final List<Step> STEPS = List.of(
            new Step.File("Seeds"),
            Step.Plain.ARCHIVE,
            Step.Plain.TRASH,
            Step.Plain.KEEP,
            new Step.Redirect(List.of(MailAddress.of("duty@ostrel-gardens.example")), true),
            new Step.Redirect(List.of(MailAddress.of("duty@ostrel-gardens.example")), false),
            new Step.Redirect(List.of(MailAddress.of("friend@elsewhere.example")), true),
            new Step.Reply("", "Thank you.", Duration.ofDays(7)));

    private final Random random = new Random(20261128);
    private final Corpus corpus = new Corpus(100, Long.MAX_VALUE);
    private final DecisionContext context = Mails.context();
    private Corpus.View past;

    @BeforeEach
    void mailOfSomeDaysAndNights() {
        for (int i = 0; i < 60; i++) {
            Instant received = Mails.NOW.minus(Duration.ofHours(7L * i));
            var message = Mails.read(Mails.from("anna@school.example", word() + " and " + word(), "x"));
            corpus.add(new PastMessage(i, received, new MessageView(message, at(received))));
        }
        past = corpus.since(Instant.EPOCH);
    }

    private MessageContext at(Instant received) {
        var plain = context.context();
        return new MessageContext(
                plain.own(), plain.people(), Mails.NOW, received, plain.zone(), false, plain.mailbox(), "INBOX", false);
    }

    private String word() {
        return WORDS.get(random.nextInt(WORDS.size()));
    }

    private Criterion subject() {
        return TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(word()));
    }

    private Rule rule(int id) {
        Schedule.Hours hours = Schedule.Hours.values()[random.nextInt(3)];
        return new Rule(
                new RuleId("r" + id),
                1,
                "r" + id,
                subject(),
                random.nextInt(3) == 0 ? subject() : new Nothing(),
                List.of(STEPS.get(random.nextInt(STEPS.size())), STEPS.get(random.nextInt(STEPS.size()))),
                random.nextBoolean() ? Ending.STOP_HERE : Ending.CONTINUE,
                new Schedule(hours, Period.OPEN),
                random.nextInt(5) > 0);
    }

    private RuleBook book() {
        Criterion fence = random.nextBoolean() ? subject() : new Nothing();
        List<Rule> rules = IntStream.range(0, 5).mapToObj(this::rule).toList();
        return new RuleBook(rules, fence, List.of(rule(9)));
    }

    private List<Decision> decided(RuleBook book) {
        CompiledBook compiled = CompiledBook.of(book);
        return IntStream.range(0, past.size())
                .mapToObj(i -> past.message(i).seen())
                .map(seen -> Engine.decide(compiled, seen.message(), context.of(seen.context())))
                .toList();
    }

    private static int count(List<Decision> decisions, Predicate<Decision> what) {
        return (int) decisions.stream().filter(what).count();
    }

    private static Outcome outcome(Decision decision, RuleId rule) {
        return decision.trace().stream()
                .filter(o -> o.rule().id().equals(rule))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theFiguresOfTheRulesAreTheEngines() {
        int left = 0;
        for (int round = 0; round < 150; round++) {
            RuleBook book = book();
            List<Decision> decisions = decided(book);
            RuleMatches figures = RuleMatches.of(book, past, context);
            assertThat(figures.inInbox()).isEqualTo(count(decisions, Decision::staysInInbox));
            for (Rule rule : book.all()) {
                assertThat(figures.picked(rule.id()))
                        .isEqualTo(count(decisions, d -> outcome(d, rule.id()).isPicked()));
                assertThat(figures.excluded(rule.id()))
                        .isEqualTo(count(decisions, d -> outcome(d, rule.id()) instanceof Outcome.Excluded));
            }
            left += past.size() - figures.inInbox();
        }
        assertThat(left).as("messages that left an inbox in all").isGreaterThan(1_000);
    }

    /** As if the edited rule were on, in its hours, whatever its days; the others as they are. */
    @Test
    void theEvidenceOfARuleIsTheEngines() {
        for (int round = 0; round < 150; round++) {
            RuleBook book = book();
            RuleId edited = book.rules().get(random.nextInt(5)).id();
            Evidence evidence = Evidence.of(book, edited, past, context.opening());
            List<Decision> inItsHours =
                    decided(with(book, edited, rule -> rule.switched(true).onAnyDay()));
            List<Decision> atAnyHour =
                    decided(with(book, edited, rule -> rule.switched(true).always()));
            assertThat(evidence.count(Counter.PICKED))
                    .isEqualTo(count(inItsHours, d -> outcome(d, edited).isPicked()));
            assertThat(evidence.count(Counter.PICKED) + evidence.count(Counter.OUTSIDE_ITS_HOURS))
                    .isEqualTo(count(atAnyHour, d -> outcome(d, edited).isPicked()));
            assertThat(evidence.count(Counter.LEFT_OUT))
                    .isEqualTo(count(atAnyHour, d -> outcome(d, edited) instanceof Outcome.Excluded));
        }
    }

    private static RuleBook with(RuleBook book, RuleId edited, UnaryOperator<Rule> changed) {
        List<Rule> rules = new ArrayList<>(book.rules());
        rules.replaceAll(rule -> rule.id().equals(edited) ? changed.apply(rule) : rule);
        return new RuleBook(rules, book.fence(), book.tail());
    }
}
