package app.jubek.core.criteria;

import app.jubek.core.text.Words;
import java.util.List;

/** Several criteria taken together; groups nest. */
public record Group(How how, List<Criterion> criteria) implements Criterion {

    /** How many of them must hold. */
    public enum How {
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

    @Override
    public boolean holds(Hits hits) {
        for (Criterion criterion : criteria) {
            boolean held = criterion.holds(hits);
            if (how == How.ALL && !held) {
                return false;
            }
            if (how != How.ALL && held) {
                return how == How.ANY;
            }
        }
        return how != How.ANY;
    }

    @Override
    public String inWords() {
        List<String> parts = criteria.stream().map(this::part).toList();
        return switch (how) {
            case ALL -> Words.and(parts);
            case ANY -> Words.or(parts);
            case NONE -> "neither " + String.join(" nor ", parts);
        };
    }

    private String part(Criterion criterion) {
        boolean nested = criterion instanceof Group group && group.criteria().size() > 1;
        return nested ? "(" + criterion.inWords() + ")" : criterion.inWords();
    }
}
