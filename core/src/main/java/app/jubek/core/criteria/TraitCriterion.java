package app.jubek.core.criteria;

import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Phrase;
import app.jubek.core.wording.Statement;
import java.util.List;

/** A test whether a message has any of some traits. */
public record TraitCriterion(List<Trait> traits, boolean negated) implements SimpleCriterion {
    public TraitCriterion {
        traits = List.copyOf(traits);
        if (traits.isEmpty()) {
            throw new IllegalArgumentException("a criterion needs at least one value");
        }
    }

    @Override
    public SimpleCriterion turned() {
        return new TraitCriterion(traits, !negated);
    }

    @Override
    public List<TermMatcher> terms() {
        return traits.stream().<TermMatcher>map(TraitMatcher::new).toList();
    }

    @Override
    public List<String> written() {
        return traits.stream().map(trait -> trait.statement().code()).toList();
    }

    @Override
    public Statement statement() {
        Argument any = Argument.or(traits.stream().map(Trait::statement).toList());
        return negated ? Phrase.NOT.with(any) : Phrase.PLAIN.with(any);
    }

    record TraitMatcher(Trait trait) implements TermMatcher {
        @Override
        public boolean hits(Searchable message) {
            return message.has(trait);
        }
    }
}
