package app.jubek.core.criteria;

import app.jubek.core.text.Comparison;
import app.jubek.core.text.Covers;
import app.jubek.core.text.How;
import app.jubek.core.text.Value;
import app.jubek.core.text.Words;
import java.util.List;
import java.util.Optional;

/** A test of words: the part has any of the values in it, each of its texts by itself (RFC 5173 §5). */
public record TextTest(Part part, List<Value> values, boolean negated) implements Test {
    public TextTest {
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
    public static TextTest phrases(Part.Kind part, List<String> phrases) {
        return new TextTest(Part.of(part), phrases.stream().map(Value::phrase).toList(), false);
    }

    public How how() {
        return how(values);
    }

    public Comparison comparison() {
        return comparison(values);
    }

    private static How how(List<Value> values) {
        return values.get(0).how();
    }

    private static Comparison comparison(List<Value> values) {
        return values.get(0).comparison();
    }

    @Override
    public Test turned() {
        return new TextTest(part, values, !negated);
    }

    @Override
    public List<Probe> probes() {
        return values.stream().<Probe>map(v -> new ValueProbe(part, v)).toList();
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
    public String inWords() {
        String quoted = Words.or(written().stream().map(Words::quoted).toList());
        String where = part.inWords();
        String how = switch (how()) {
            case CONTAINS -> (negated ? "without " : "with ") + quoted + " in " + where;
            case WORDS -> (negated ? "without the whole words " : "with the whole words ") + quoted + " in " + where;
            case IS -> "with " + where + (negated ? " not being " : " being ") + quoted;
            case BEGINS -> "with " + where + (negated ? " not beginning with " : " beginning with ") + quoted;
            case ENDS -> "with " + where + (negated ? " not ending with " : " ending with ") + quoted;
            case WILDCARD -> "with " + where + (negated ? " not like " : " like ") + quoted;
            case PATTERN -> "with " + where + (negated ? " not fitting " : " fitting ") + "the pattern " + quoted;
        };
        return how + comparedInWords();
    }

    private String comparedInWords() {
        return switch (comparison()) {
            case FOLDED -> "";
            case WITHOUT_ACCENTS -> " (accents aside)";
            case ASCII_CASE -> " (letter case of A to Z aside)";
            case EXACT -> " (exactly so)";
        };
    }

    /** A value in a part. */
    public record ValueProbe(Part part, Value value) implements Probe {
        @Override
        public boolean hits(Searchable message) {
            for (Part atom : part.atoms()) {
                for (String text : message.texts(atom, value.comparison())) {
                    if (value.in(text)) {
                        return true;
                    }
                }
            }
            return false;
        }

        /** The parts it looks at, one by one. */
        public List<Part> atoms() {
            return part.atoms();
        }
    }
}
