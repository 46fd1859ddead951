package app.jubek.core.review;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.Folding;
import app.jubek.core.matching.MatchType;
import app.jubek.core.matching.Value;
import app.jubek.core.review.Finding.Remedy;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.text.WordList;
import app.jubek.core.view.MessageView;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Phrases that mean something else where they stand: inside longer words, or after a word that denies them. */
final class FromWords {
    private static final int SHORT = 5;
    private static final double INSIDE = 0.3;
    private static final int SEVERAL = 3;

    /** Words that deny the one after them, in the languages of the usual mail (common practice). */
    private static final Set<String> DENYING = WordList.of("denying");

    private static final int LONGEST_DENYING = 7;

    private final RuleBook book;
    private final Corpus.View past;
    private final List<Finding> found = new ArrayList<>();

    FromWords(RuleBook book, Corpus.View past) {
        this.book = book;
        this.past = past;
    }

    List<Finding> findings() {
        book.rules().stream().filter(Rule::on).forEach(rule -> {
            for (SimpleCriterion test : positive(rule.picksOut()).toList()) {
                if (test instanceof TextCriterion words) {
                    words.values().forEach(value -> look(rule, words, value));
                }
            }
        });
        return found;
    }

    private static Stream<SimpleCriterion> positive(Criterion criterion) {
        return criterion.tests().stream().filter(test -> !test.negated());
    }

    private void look(Rule rule, TextCriterion test, Value value) {
        if (value.how() != MatchType.CONTAINS || value.comparison() != Comparison.FOLDED) {
            return;
        }
        String phrase = Folding.fold(value.written());
        if (phrase.length() <= SHORT && phrase.chars().allMatch(Character::isLetterOrDigit)) {
            insideLongerWords(rule, test, value, phrase);
        }
        denied(rule, test, phrase);
    }

    private Stream<String> texts(TextCriterion test, MessageView message) {
        Stream<MessagePart> atoms = switch (test.part().kind()) {
            case SUBJECT_OR_TEXT, SUBJECT_OR_ADDED_TEXT ->
                Stream.of(MessagePart.of(MessagePart.Kind.SUBJECT), MessagePart.of(MessagePart.Kind.TEXT));
            default -> Stream.of(test.part());
        };
        return atoms.flatMap(atom -> message.texts(atom, Comparison.FOLDED).stream());
    }

    private void insideLongerWords(Rule rule, TextCriterion test, Value value, String phrase) {
        Value whole = Value.of(MatchType.WORDS, value.comparison(), value.written());
        int hits = 0;
        int inside = 0;
        Optional<Integer> example = Optional.empty();
        BitSet reach = past.holding(new TextCriterion(test.part(), List.of(value), false));
        for (int at = reach.nextSetBit(0); at >= 0; at = reach.nextSetBit(at + 1)) {
            List<String> having = texts(test, past.message(at).seen())
                    .filter(text -> text.contains(phrase))
                    .toList();
            hits += having.isEmpty() ? 0 : 1;
            if (!having.isEmpty() && having.stream().noneMatch(whole::in)) {
                inside++;
                example = Optional.of(at);
            }
        }
        if (inside >= SEVERAL && inside >= INSIDE * hits) {
            found.add(new Finding(
                    Sort.PART_OF_LONGER_WORDS,
                    rule.id(),
                    FindingText.INSIDE_LONGER_WORDS.with(value.written(), inside, hits),
                    example,
                    Optional.of(new Remedy(
                            RemedyText.ONLY_WHOLE_WORD.with(value.written()), changed(rule, test, value, whole)))));
        }
    }

    private RuleBook changed(Rule rule, TextCriterion test, Value old, Value now) {
        List<Value> others = test.values().stream().filter(v -> !v.equals(old)).toList();
        TextCriterion word = new TextCriterion(test.part(), List.of(now), false);
        Criterion changed = others.isEmpty()
                ? word
                : new Group(Group.Quantifier.ANY, List.of(new TextCriterion(test.part(), others, false), word));
        return Books.with(book, rule, r -> r.pickingOut(r.picksOut().replacing(test, changed)));
    }

    private void denied(Rule rule, TextCriterion test, String phrase) {
        List<String> said = new ArrayList<>();
        Optional<Integer> example = Optional.empty();
        BitSet taken = FromEvidence.meets(rule, past);
        for (int at = taken.nextSetBit(0); at >= 0; at = taken.nextSetBit(at + 1)) {
            Optional<String> here = denied(test, phrase, past.message(at).seen());
            if (here.isPresent()) {
                said.add(here.get());
                example = Optional.of(at);
            }
        }
        if (!said.isEmpty()) {
            String words = said.get(said.size() - 1);
            Criterion exception = new TextCriterion(test.part(), List.of(Value.phrase(words)), false);
            found.add(new Finding(
                    Sort.NEGATED,
                    rule.id(),
                    FindingText.PICKS_WHAT_DENIES.with(said.size(), words),
                    example,
                    Optional.of(new Remedy(
                            RemedyText.LEAVE_OUT.with(words),
                            Books.with(book, rule, r -> r.leavingOut(Group.either(r.leavesOut(), exception)))))));
        }
    }

    private Optional<String> denied(TextCriterion test, String phrase, MessageView message) {
        return texts(test, message)
                .flatMap(text -> denied(text, " " + phrase).stream())
                .findFirst();
    }

    /** The first place where a word that denies stands right before a phrase. */
    private static Optional<String> denied(String text, String phrase) {
        for (int at = text.indexOf(phrase); at >= 0; at = text.indexOf(phrase, at + 1)) {
            int from = at;
            while (from > 0 && at - from <= LONGEST_DENYING && Character.isLetterOrDigit(text.charAt(from - 1))) {
                from--;
            }
            if (DENYING.contains(text.substring(from, at))) {
                return Optional.of(text.substring(from, at + phrase.length()));
            }
        }
        return Optional.empty();
    }
}
