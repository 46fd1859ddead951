package app.jubek.core.suggest;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.Rule;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a rule picks out with one value more, or with an alternative beside its criteria.
 *
 * @param added the value, or the alternative, as a criterion of its own
 * @param taken messages of the window that it takes and the rule does not
 */
public record Widening(Rule changed, Criterion added, BitSet taken) {
    /** Worth proposing for so many messages. */
    private static final int LEAST = 3;

    /** At most one other message for so many that are wanted. */
    private static final int FOR_ONE_OTHER = 4;

    /**
     * The best of all, if any takes at least three wanted messages and few others.
     *
     * @param wanted messages that the rule does not pick
     * @param alike others that it may take as well
     */
    public static Optional<Widening> of(
            Corpus.View past, Rule rule, BitSet picked, BitSet wanted, BitSet alike, OwnSide own) {
        if (wanted.cardinality() < LEAST) {
            return Optional.empty();
        }
        BitSet open = past.holding(rule.leavesOut());
        open.or(picked);
        open.flip(0, past.size());
        BitSet welcome = (BitSet) alike.clone();
        welcome.or(wanted);
        Worth worth = new Worth(wanted, welcome);
        List<Candidate> candidates =
                new Candidates(past, own).of(wanted.stream().boxed().toList());
        return rule.picksOut().tests().stream()
                .filter(test -> OneValueMore.isPossible(rule.picksOut(), test))
                .flatMap(test -> valuesFor(past, rule, test, open, candidates))
                .filter(worth::isEnough)
                .max(worth.order())
                .or(() -> alternative(past, rule, open, worth, own));
    }

    private static Stream<Widening> valuesFor(
            Corpus.View past, Rule rule, SimpleCriterion test, BitSet open, List<Candidate> candidates) {
        BitSet rest = past.holding(rule.picksOut().replacing(test, new Everything()));
        rest.and(open);
        return candidates.stream()
                .filter(candidate -> fits(test, candidate.where()))
                .map(candidate -> {
                    Criterion picksOut = OneValueMore.in(rule.picksOut(), test, candidate.value());
                    return new Widening(
                            rule.pickingOut(picksOut),
                            candidate.where().test(List.of(candidate.value())),
                            Sets.both(rest, candidate.hits()));
                });
    }

    private static boolean fits(SimpleCriterion test, Where where) {
        if (test instanceof TextCriterion text) {
            List<MessagePart> parts = text.part().atoms();
            return switch (where) {
                case SUBJECT -> parts.contains(MessagePart.of(MessagePart.Kind.SUBJECT));
                case TEXT -> parts.contains(MessagePart.of(MessagePart.Kind.TEXT));
                default -> false;
            };
        }
        AddressCriterion address = (AddressCriterion) test;
        boolean whole = address.how() == AddressCriterion.AddressMatch.IS;
        return switch (where) {
            case SENDER -> address.part() == AddressCriterion.AddressField.SENDER && whole;
            case SENDER_DOMAIN -> address.part() == AddressCriterion.AddressField.SENDER && !whole;
            case RECIPIENT -> address.part() == AddressCriterion.AddressField.RECIPIENT && whole;
            default -> false;
        };
    }

    /** Where no single value does: criteria of their own, any of which will do. */
    private static Optional<Widening> alternative(Corpus.View past, Rule rule, BitSet open, Worth worth, OwnSide own) {
        List<Integer> unwanted =
                Sets.without(open, worth.welcome()).stream().boxed().toList();
        List<Integer> wanted = worth.wanted().stream().boxed().toList();
        return Suggest.of(past, wanted, unwanted, own).stream()
                .map(Suggestion::picksOut)
                .map(added -> new Widening(
                        rule.pickingOut(Group.either(rule.picksOut(), added)),
                        added,
                        Sets.both(open, past.holding(added))))
                .filter(worth::isEnough)
                .max(worth.order());
    }

    private record Worth(BitSet wanted, BitSet welcome) {
        boolean isEnough(Widening widening) {
            int right = right(widening);
            return right >= LEAST && FOR_ONE_OTHER * others(widening) <= right;
        }

        /** What takes most and least else, then what says most. */
        Comparator<Widening> order() {
            return Comparator.<Widening>comparingInt(widening -> right(widening) - 2 * others(widening))
                    .thenComparingInt(widening -> saying(widening.added()));
        }

        private int right(Widening widening) {
            return Sets.both(widening.taken(), wanted).cardinality();
        }

        private int others(Widening widening) {
            return Sets.without(widening.taken(), welcome).cardinality();
        }

        private static int saying(Criterion added) {
            return added instanceof TextCriterion text
                    ? Addition.saying(text.written().get(0))
                    : 0;
        }
    }
}
