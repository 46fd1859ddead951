package app.jubek.core.criteria;

import java.util.List;

/** A test whether a part is there at all. */
public record PresentTest(Part part, boolean negated) implements Test {
    @Override
    public Test turned() {
        return new PresentTest(part, !negated);
    }

    @Override
    public List<Probe> probes() {
        return List.of(new PresentProbe(part));
    }

    @Override
    public List<String> written() {
        return List.of();
    }

    @Override
    public String inWords() {
        return (negated ? "without " : "with ") + part.inWords();
    }

    record PresentProbe(Part part) implements Probe {
        @Override
        public boolean hits(Searchable message) {
            return part.atoms().stream().anyMatch(message::has);
        }
    }
}
