package app.jubek.core.corpus;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.decide.Outcome;
import app.jubek.core.decide.Silence;
import app.jubek.core.decide.Trace;
import app.jubek.core.explain.NearMiss;
import app.jubek.core.matching.Value;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.view.MessageView;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Laws that hold for all criteria, rules and mail, on seeded random ones. */
class LawsTest {
    private static final List<String> WORDS =
            List.of("visit", "guided visit", "invoice", "seeds", "Führung", "price list");
    private static final List<String> DOMAINS = List.of("school.example", "junior.school.example", "seeds.example");
    private final Random random = new Random(20_260_329);

    private MessageView message() {
        String from = "From: " + word() + " <a@" + DOMAINS.get(random.nextInt(3)) + ">\r\n";
        String subject = "Subject: " + word() + " " + word() + "\r\n";
        String type = "Content-Type: text/plain; charset=utf-8\r\n\r\n";
        return Mails.view(Mails.read(from + subject + type + word() + " and " + word()));
    }

    private String word() {
        return WORDS.get(random.nextInt(WORDS.size()));
    }

    private Criterion criterion(int depth) {
        int kind = random.nextInt(depth == 0 ? 3 : 6);
        if (kind == 0) {
            AddressCriterion.AddressMatch how = random.nextBoolean()
                    ? AddressCriterion.AddressMatch.AT_DOMAIN
                    : AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW;
            return new AddressCriterion(
                    AddressCriterion.AddressField.SENDER,
                    how,
                    List.of(DOMAINS.get(random.nextInt(3))),
                    random.nextBoolean());
        }
        if (kind < 3) {
            MessagePart.Kind part = List.of(
                            MessagePart.Kind.SENDER_NAME,
                            MessagePart.Kind.SUBJECT,
                            MessagePart.Kind.TEXT,
                            MessagePart.Kind.SUBJECT_OR_TEXT)
                    .get(random.nextInt(4));
            return new TextCriterion(
                    MessagePart.of(part), List.of(Value.phrase(word()), Value.phrase(word())), random.nextBoolean());
        }
        List<Criterion> inner = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(3); i++) {
            inner.add(criterion(depth - 1));
        }
        return new Group(Group.Quantifier.values()[kind - 3], inner);
    }

    private Rule rule(int i) {
        Criterion leavesOut = random.nextBoolean() ? new Nothing() : criterion(1);
        Ending ending = Ending.values()[random.nextInt(2)];
        return new Rule(
                new RuleId("r" + i), 1, "r" + i, criterion(2), leavesOut, List.of(), ending, random.nextInt(5) > 0);
    }

    private static boolean naive(Criterion criterion, MessageView message) {
        if (criterion instanceof Group group) {
            long held = group.criteria().stream()
                    .filter(inner -> naive(inner, message))
                    .count();
            return switch (group.how()) {
                case ALL -> held == group.criteria().size();
                case ANY -> held > 0;
                case NONE -> held == 0;
            };
        }
        if (criterion instanceof app.jubek.core.criteria.SimpleCriterion test) {
            return test.terms().stream().anyMatch(term -> term.hits(message)) != test.negated();
        }
        return criterion instanceof Everything;
    }

    @Test
    void groupsHoldAsTheirWordsSayAndAnOutcomeNamesACriterionThatDecided() {
        for (int round = 0; round < 3_000; round++) {
            Criterion criterion = criterion(3);
            MessageView message = message();
            boolean holds = criterion.holds(message);
            assertThat(holds).as(Mails.words(criterion.statement())).isEqualTo(naive(criterion, message));
            Rule rule = holds ? rule(new Everything(), criterion) : rule(criterion, new Nothing());
            Outcome outcome = Trace.of(RuleBook.of(List.of(rule)), message, Silence.none())
                    .get(0);
            Criterion decided = outcome instanceof Outcome.Excluded excluded
                    ? excluded.by()
                    : ((Outcome.NotMatched) outcome).because();
            assertThat(decided.holds(message))
                    .as(Mails.words(criterion.statement()))
                    .isEqualTo(holds);
        }
    }

    private static Rule rule(Criterion picksOut, Criterion leavesOut) {
        return new Rule(new RuleId("r"), 1, "r", picksOut, leavesOut, List.of(), Ending.CONTINUE, true);
    }

    @Test
    void theCorpusGivesTheSameAnswersAsTheMessagesThemselvesHoweverLittleItKeeps() {
        for (int maxSets : List.of(1, 3, 500)) {
            Corpus corpus = new Corpus(maxSets, Long.MAX_VALUE);
            List<MessageView> all = new ArrayList<>();
            for (int round = 0; round < 200; round++) {
                MessageView message = message();
                all.add(message);
                corpus.add(new PastMessage(round, Instant.EPOCH.plusSeconds(round), message));
                Criterion criterion = criterion(2);
                Corpus.View view = corpus.since(Instant.EPOCH);
                BitSet holding = view.holding(criterion);
                for (int at = 0; at < view.size(); at++) {
                    assertThat(holding.get(at))
                            .as(Mails.words(criterion.statement()))
                            .isEqualTo(criterion.holds(all.get(at)));
                    assertThat(criterion.holds(view.hits(at)))
                            .as(Mails.words(criterion.statement()))
                            .isEqualTo(criterion.holds(all.get(at)));
                }
            }
        }
    }

    @Test
    void whatNearMissesMeetIsWhatNearMissesAre() {
        for (int round = 0; round < 3_000; round++) {
            Criterion whole = criterion(2);
            MessageView message = message();
            boolean meets = !whole.holds(message)
                    && NearMiss.narrowed(whole).stream().anyMatch(narrowed -> narrowed.holds(message));
            assertThat(NearMiss.of(whole, message).isPresent() && !whole.holds(message))
                    .as(Mails.words(whole.statement()))
                    .isEqualTo(meets);
        }
    }

    @Test
    void whereMailTakesTooMuchMemoryTheMessagesThatCameFirstLeave() {
        List<PastMessage> all = new ArrayList<>();
        for (int i : List.of(5, 1, 4, 2, 3)) {
            all.add(new PastMessage(i, Instant.EPOCH.plusSeconds(i), message()));
        }
        long bytes = all.stream()
                .filter(m -> m.id() >= 3)
                .mapToLong(PastMessage::bytes)
                .sum();
        Corpus corpus = new Corpus(10, bytes);
        all.forEach(corpus::add);
        Corpus.View view = corpus.since(Instant.EPOCH);
        assertThat(List.of(view.message(0).id(), view.message(view.size() - 1).id()))
                .containsExactly(3L, 5L);
        assertThat(corpus.isCut()).isTrue();
        assertThat(corpus.bytes()).isEqualTo(bytes);
    }

    /** The places that they leave are closed up now and then; whoever looks through a window goes on in it. */
    @Test
    void manyThatLeaveChangeNoAnswer() {
        List<MessageView> all = new ArrayList<>();
        Corpus corpus = new Corpus(10, 100 * new PastMessage(0, Instant.EPOCH, message()).bytes());
        Criterion criterion = criterion(2);
        List<Corpus.View> windows = new ArrayList<>();
        for (int i = 0; i < 1_500; i++) {
            all.add(message());
            corpus.add(new PastMessage(i, Instant.EPOCH.plusSeconds(i), all.get(i)));
            if (i % 100 == 0) {
                windows.add(corpus.since(Instant.EPOCH));
            }
        }
        for (Corpus.View window : windows) {
            BitSet holding = window.holding(criterion);
            for (int at = 0; at < window.size(); at++) {
                boolean isStillThere = window.message(at).id() >= all.size() - corpus.size();
                if (isStillThere) {
                    assertThat(holding.get(at))
                            .isEqualTo(criterion.holds(window.message(at).seen()));
                }
            }
        }
        assertThat(corpus.size()).isLessThan(1_000);
    }

    @Test
    void aWindowHoldsExactlyTheMailSinceItsBeginningInOrderOfArrival() {
        Corpus corpus = new Corpus(10, Long.MAX_VALUE);
        for (int i : List.of(5, 1, 4, 2, 3)) {
            corpus.add(new PastMessage(i, Instant.EPOCH.plusSeconds(i), message()));
        }
        Corpus.View view = corpus.since(Instant.EPOCH.plusSeconds(3));
        assertThat(view.size()).isEqualTo(3);
        assertThat(List.of(
                        view.message(0).id(),
                        view.message(1).id(),
                        view.message(2).id()))
                .containsExactly(3L, 4L, 5L);
    }

    @Test
    void nothingIsReachedAfterARuleThatEndedAndEverythingBefore() {
        for (int round = 0; round < 1_500; round++) {
            List<Rule> rules = new ArrayList<>();
            for (int i = 0; i < 6; i++) {
                rules.add(rule(i));
            }
            MessageView message = message();
            List<Outcome> outcomes = Trace.of(RuleBook.of(rules), message, Silence.none());
            boolean ended = false;
            for (Outcome outcome : outcomes) {
                assertThat(outcome instanceof Outcome.NotReached).isEqualTo(ended);
                boolean takes = outcome.rule().on()
                        && naive(outcome.rule().picksOut(), message)
                        && !naive(outcome.rule().leavesOut(), message);
                assertThat(outcome.isPicked()).isEqualTo(takes && !ended);
                ended |= outcome.isPicked() && outcome.rule().ends();
            }
        }
    }
}
