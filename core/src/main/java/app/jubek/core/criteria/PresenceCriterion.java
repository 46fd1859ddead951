package app.jubek.core.criteria;

import app.jubek.core.wording.Statement;
import java.util.List;

/** A test whether a part is there at all. */
public record PresenceCriterion(MessagePart part, boolean negated) implements SimpleCriterion {
    @Override
    public SimpleCriterion turned() {
        return new PresenceCriterion(part, !negated);
    }

    @Override
    public List<TermMatcher> terms() {
        return List.of(new PresenceMatcher(part));
    }

    @Override
    public List<String> written() {
        return List.of();
    }

    @Override
    public Statement statement() {
        return (negated ? CriterionPhrase.WITHOUT : CriterionPhrase.WITH).with(part.statement());
    }

    record PresenceMatcher(MessagePart part) implements TermMatcher {
        @Override
        public boolean hits(Searchable message) {
            return part.atoms().stream().anyMatch(message::has);
        }
    }
}
