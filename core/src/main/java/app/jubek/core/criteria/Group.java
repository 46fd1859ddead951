package app.jubek.core.criteria;

import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Phrase;
import app.jubek.core.wording.Statement;
import java.util.ArrayList;
import java.util.List;

/** Several criteria taken together; groups nest. */
public record Group(Quantifier how, List<Criterion> criteria) implements Criterion {

    /** How many of them must hold. */
    public enum Quantifier {
        ALL,
        ANY,
        NONE
    }

    public Group {
        criteria = List.copyOf(criteria);
        if (criteria.isEmpty()) {
            throw new IllegalArgumentException("an empty group picks out nothing: add a criterion to it");
        }
    }

    /** What meets one or the other: added to a group of which any will do, beside any other criterion. */
    public static Group either(Criterion some, Criterion added) {
        List<Criterion> any = new ArrayList<>();
        if (some instanceof Group group && group.how() == Quantifier.ANY) {
            any.addAll(group.criteria());
        } else if (!(some instanceof Nothing)) {
            any.add(some);
        }
        any.add(added);
        return new Group(Quantifier.ANY, any);
    }

    @Override
    public boolean holds(Hits hits) {
        for (Criterion criterion : criteria) {
            boolean held = criterion.holds(hits);
            if (how == Quantifier.ALL && !held) {
                return false;
            }
            if (how != Quantifier.ALL && held) {
                return how == Quantifier.ANY;
            }
        }
        return how != Quantifier.ANY;
    }

    @Override
    public Statement statement() {
        List<Statement> parts = criteria.stream().map(this::part).toList();
        return switch (how) {
            case ALL -> Phrase.PLAIN.with(Argument.and(parts));
            case ANY -> Phrase.PLAIN.with(Argument.or(parts));
            case NONE ->
                Phrase.NEITHER.with(parts.stream().reduce(Phrase.NOR::with).orElseThrow());
        };
    }

    private Statement part(Criterion criterion) {
        boolean nested = criterion instanceof Group group && group.criteria().size() > 1;
        return nested ? Phrase.BRACKETED.with(criterion.statement()) : criterion.statement();
    }
}
