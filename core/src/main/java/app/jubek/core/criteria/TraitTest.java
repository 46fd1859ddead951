package app.jubek.core.criteria;

import app.jubek.core.text.Words;
import java.util.List;

/** A test whether a message has any of some traits. */
public record TraitTest(List<Trait> traits, boolean negated) implements Test {
    public TraitTest {
        traits = List.copyOf(traits);
        if (traits.isEmpty()) {
            throw new IllegalArgumentException("a criterion needs at least one value");
        }
    }

    @Override
    public Test turned() {
        return new TraitTest(traits, !negated);
    }

    @Override
    public List<Probe> probes() {
        return traits.stream().<Probe>map(TraitProbe::new).toList();
    }

    @Override
    public List<String> written() {
        return traits.stream().map(Trait::inWords).toList();
    }

    @Override
    public String inWords() {
        return (negated ? "not " : "") + Words.or(written());
    }

    record TraitProbe(Trait trait) implements Probe {
        @Override
        public boolean hits(Searchable message) {
            return message.has(trait);
        }
    }
}
