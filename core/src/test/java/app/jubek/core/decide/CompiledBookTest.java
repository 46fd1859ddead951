package app.jubek.core.decide;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.NumberCriterion;
import app.jubek.core.criteria.PresenceCriterion;
import app.jubek.core.criteria.Relation;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.criteria.Trait;
import app.jubek.core.criteria.TraitCriterion;
import app.jubek.core.explain.Marks;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import app.jubek.core.matching.Value;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.SentBy;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.view.MessageView;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** All rules at one go come to the same as one rule after the other, on seeded random rules and mail. */
class CompiledBookTest {
    private static final List<String> WORDS = List.of(
            "visit",
            "guided visit",
            "a",
            "Führung",
            "STRASSE",
            "straße",
            "ﬁnal",
            "no",
            "now",
            "$$$",
            "e\u0301te",
            "price list for schools",
            "price list",
            "日本",
            "24",
            "x\ty",
            "İ");
    private final Random random = new Random(20_261_126);

    private <T> T any(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private String words() {
        return any(WORDS)
                + any(List.of(" ", "  ", "\r\n", "", ", "))
                + any(WORDS)
                + any(List.of("", "s", ".", " for us"));
    }

    private ReadMessage message() {
        String sender =
                any(List.of("anna", "bo+x")) + "@" + any(List.of("school.example", "a.school.example", "x.example"));
        String subject = any(List.of("", "Re: ", "AW: Fwd: ")) + words().replaceAll("\\s+", " ");
        String text = words() + "\r\n> " + words().replaceAll("\\s+", " ") + "\r\n" + words() + "\r\n-- \r\n" + words();
        String charset = "Content-Type: text/plain; charset=utf-8";
        return random.nextBoolean()
                ? Mails.read(Mails.from(sender, subject, text, charset))
                : Mails.read(
                        Mails.from(sender, subject, text, charset, "List-Id: " + any(WORDS), "X-Kind: " + any(WORDS)));
    }

    private Criterion criterion(int depth) {
        boolean negated = random.nextInt(4) == 0;
        return switch (random.nextInt(depth == 0 ? 6 : 9)) {
            case 0 ->
                new AddressCriterion(
                        any(List.of(AddressCriterion.AddressField.values())),
                        AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW,
                        List.of("school.example"),
                        negated);
            case 1 ->
                any(List.<Criterion>of(
                        new NumberCriterion(NumberCriterion.Measure.SIZE, List.of(), Relation.OVER, 400, negated),
                        new TraitCriterion(List.of(new Trait.Sent(any(List.of(SentBy.values())))), negated),
                        new PresenceCriterion(MessagePart.field("X-Kind"), negated)));
            case 2, 3, 4, 5 -> text(negated);
            default -> {
                List<Criterion> inner = new ArrayList<>();
                for (int i = 0; i <= random.nextInt(3); i++) {
                    inner.add(criterion(depth - 1));
                }
                yield new Group(any(List.of(Group.Quantifier.values())), inner);
            }
        };
    }

    private TextCriterion text(boolean negated) {
        MatchType how = any(List.of(MatchType.values()));
        Comparison comparison = any(List.of(Comparison.values()));
        MessagePart part = any(List.of(
                MessagePart.of(MessagePart.Kind.SUBJECT),
                MessagePart.of(MessagePart.Kind.BARE_SUBJECT),
                MessagePart.of(MessagePart.Kind.TEXT),
                MessagePart.of(MessagePart.Kind.ADDED_TEXT),
                MessagePart.of(MessagePart.Kind.SUBJECT_OR_TEXT),
                MessagePart.of(MessagePart.Kind.SENDER),
                MessagePart.of(MessagePart.Kind.SENDER_NAME),
                MessagePart.field("x-kind")));
        List<Value> values = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(3); i++) {
            values.add(Value.of(how, comparison, value(how)));
        }
        return new TextCriterion(part, values, negated);
    }

    private String value(MatchType how) {
        String word = any(WORDS);
        return switch (how) {
            case WILDCARD -> any(List.of("*" + word + "*", "?" + word + "*", word + "*", "*" + word + "?"));
            case PATTERN -> any(List.of("visi[st]+", "\\bnow?\\b", "pr.ce list", "(a|no)w", "[A-Z]{3,}", "^re: "));
            default -> word;
        };
    }

    private Rule rule(int i) {
        Criterion leavesOut = random.nextBoolean() ? new Nothing() : criterion(1);
        Ending ending = random.nextInt(6) == 0 ? Ending.STOP_HERE : Ending.CONTINUE;
        return new Rule(
                new RuleId("r" + i), 1, "r" + i, criterion(2), leavesOut, List.of(), ending, random.nextInt(9) > 0);
    }

    @Test
    void outcomesReasonsAndMarksAreTheSame() {
        int picked = 0;
        int marked = 0;
        for (int round = 0; round < 300; round++) {
            List<Rule> rules = new ArrayList<>();
            for (int i = 0; i < 12; i++) {
                rules.add(rule(i));
            }
            RuleBook book = new RuleBook(rules.subList(0, 10), new Nothing(), rules.subList(10, 12));
            CompiledBook compiled = CompiledBook.of(book);
            for (int m = 0; m < 10; m++) {
                ReadMessage message = message();
                MessageView view = Mails.view(message);
                CompiledBook.Judged judged = compiled.judge(view);
                assertThat(judged.trace()).isEqualTo(Trace.of(book, view, Silence.none()));
                Marks marks = new Marks("Anna", message.subject(), message.texts());
                for (Rule rule : rules) {
                    assertThat(judged.marks(rule))
                            .as(Mails.words(rule.statement()))
                            .isEqualTo(marks.of(rule.picksOut()));
                    marked += judged.marks(rule).size();
                }
                picked +=
                        (int) judged.trace().stream().filter(Outcome::isPicked).count();
            }
        }
        assertThat(picked).isGreaterThan(3_000);
        assertThat(marked).isGreaterThan(1_000);
    }

    @Test
    void aRuleOfTheTailIsLookedAtThoughAnEarlierRuleStopped() {
        Criterion visits = TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of("visit"));
        Rule ends = new Rule(new RuleId("a"), 1, "a", visits, new Nothing(), List.of(), Ending.STOP_HERE, true);
        Rule later = new Rule(new RuleId("b"), 1, "b", visits, new Nothing(), List.of(), Ending.CONTINUE, true);
        Rule tail = new Rule(new RuleId("c"), 1, "c", visits, new Nothing(), List.of(), Ending.CONTINUE, true);
        RuleBook book = new RuleBook(List.of(ends, later), new Nothing(), List.of(tail));
        ReadMessage message = Mails.read(Mails.from("a@x.example", "visit", "x"));
        assertThat(CompiledBook.of(book).judge(Mails.view(message)).trace())
                .extracting(outcome -> outcome.getClass().getSimpleName())
                .containsExactly("Picked", "NotReached", "Picked");
    }

    /** What a criterion can't tell fails alone: the rule does nothing, the others go on. */
    @Test
    void aRuleThatCantBeJudgedHindersNoOther() {
        Criterion broken = new PresenceCriterion(
                new MessagePart(MessagePart.Kind.DATE, "received/no such piece/", MessagePart.Piece.ALL), false);
        Criterion visits = TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of("visit"));
        RuleBook book = RuleBook.of(List.of(
                new Rule(new RuleId("a"), 1, "a", broken, new Nothing(), List.of(), Ending.CONTINUE, true),
                new Rule(new RuleId("b"), 1, "b", visits, new Nothing(), List.of(), Ending.CONTINUE, true)));
        ReadMessage message = Mails.read(Mails.from("a@x.example", "visit", "x"));
        assertThat(CompiledBook.of(book).judge(Mails.view(message)).trace())
                .extracting(outcome -> outcome.getClass().getSimpleName())
                .containsExactly("Broken", "Picked");
    }

    @Test
    void theSameProbeInSeveralRulesIsLookedForOnce() {
        Criterion one = TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of("visit"));
        Criterion same = TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of("VISIT"));
        assertThat(Set.copyOf(one.tests().get(0).terms()))
                .isEqualTo(Set.copyOf(same.tests().get(0).terms()));
    }
}
