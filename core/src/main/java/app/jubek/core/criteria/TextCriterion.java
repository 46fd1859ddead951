package app.jubek.core.criteria;

import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.Covers;
import app.jubek.core.matching.MatchType;
import app.jubek.core.matching.Value;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Phrase;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.Optional;

/** A test of words: the part has any of the values in it, each of its texts by itself (RFC 5173 §5). */
public record TextCriterion(MessagePart part, List<Value> values, boolean negated) implements SimpleCriterion {
    public TextCriterion {
        values = List.copyOf(values);
        if (values.isEmpty()) {
            throw new IllegalArgumentException("a criterion needs at least one value");
        }
        long ways = values.stream()
                .map(v -> List.of(v.how(), v.comparison()))
                .distinct()
                .count();
        if (ways > 1) {
            throw new IllegalArgumentException("all values of a criterion are looked for in the same way");
        }
    }

    /** Phrases that are contained, folded: what people mean. */
    public static TextCriterion phrases(MessagePart.Kind part, List<String> phrases) {
        return new TextCriterion(
                MessagePart.of(part), phrases.stream().map(Value::phrase).toList(), false);
    }

    public MatchType how() {
        return how(values);
    }

    public Comparison comparison() {
        return comparison(values);
    }

    private static MatchType how(List<Value> values) {
        return values.get(0).how();
    }

    private static Comparison comparison(List<Value> values) {
        return values.get(0).comparison();
    }

    @Override
    public SimpleCriterion turned() {
        return new TextCriterion(part, values, !negated);
    }

    @Override
    public List<TermMatcher> terms() {
        return values.stream().<TermMatcher>map(v -> new ValueMatcher(part, v)).toList();
    }

    @Override
    public List<String> written() {
        return values.stream().map(Value::written).toList();
    }

    @Override
    public List<Optional<Integer>> covered() {
        return Covers.among(values);
    }

    @Override
    public Statement statement() {
        Argument quoted = Argument.or(written().stream().map(Phrase::quoted).toList());
        return compared(phrase().with(quoted, part.statement()));
    }

    private CriterionPhrase phrase() {
        return switch (how()) {
            case CONTAINS -> negated ? CriterionPhrase.NOT_CONTAINING : CriterionPhrase.CONTAINING;
            case WORDS -> negated ? CriterionPhrase.WITHOUT_WHOLE_WORDS : CriterionPhrase.WITH_WHOLE_WORDS;
            case IS -> negated ? CriterionPhrase.NOT_BEING : CriterionPhrase.BEING;
            case BEGINS -> negated ? CriterionPhrase.NOT_BEGINNING_WITH : CriterionPhrase.BEGINNING_WITH;
            case ENDS -> negated ? CriterionPhrase.NOT_ENDING_WITH : CriterionPhrase.ENDING_WITH;
            case WILDCARD -> negated ? CriterionPhrase.NOT_LIKE : CriterionPhrase.LIKE;
            case PATTERN -> negated ? CriterionPhrase.NOT_FITTING_PATTERN : CriterionPhrase.FITTING_PATTERN;
        };
    }

    private Statement compared(Statement said) {
        return switch (comparison()) {
            case FOLDED -> said;
            case WITHOUT_ACCENTS -> CriterionPhrase.COMPARED_WITHOUT_ACCENTS.with(said);
            case ASCII_CASE -> CriterionPhrase.COMPARED_ASCII_CASE.with(said);
            case EXACT -> CriterionPhrase.COMPARED_EXACTLY.with(said);
        };
    }

    /** A value in a part. */
    public record ValueMatcher(MessagePart part, Value value) implements TermMatcher {
        @Override
        public boolean hits(Searchable message) {
            for (MessagePart atom : part.atoms()) {
                for (String text : message.texts(atom, value.comparison())) {
                    if (value.in(text)) {
                        return true;
                    }
                }
            }
            return false;
        }

        /** The parts it looks at, one by one. */
        public List<MessagePart> atoms() {
            return part.atoms();
        }
    }
}
