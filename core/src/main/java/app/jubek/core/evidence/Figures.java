package app.jubek.core.evidence;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.rule.Rule;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/** What each criterion and each value of a rule does by itself and to the whole. */
final class Figures {
    private final Corpus.View past;
    private final Rule rule;

    Figures(Corpus.View past, Rule rule) {
        this.past = past;
        this.rule = rule;
    }

    List<CriterionFigures> picksOut() {
        return collect(rule.picksOut(), this::effectOfPicking);
    }

    List<CriterionFigures> leavesOut() {
        return collect(rule.leavesOut(), this::excluded);
    }

    private interface Effect {
        BitSet of(List<Criterion> siblings, Group.Quantifier how, BitSet own);
    }

    private List<CriterionFigures> collect(Criterion root, Effect effect) {
        List<CriterionFigures> found = new ArrayList<>();
        if (!(root instanceof Nothing)) {
            walk(root, List.of(), List.of(), Group.Quantifier.ALL, effect, found);
        }
        return List.copyOf(found);
    }

    private void walk(
            Criterion criterion,
            List<Integer> path,
            List<Criterion> siblings,
            Group.Quantifier how,
            Effect effect,
            List<CriterionFigures> into) {
        if (criterion instanceof Group group) {
            for (int i = 0; i < group.criteria().size(); i++) {
                List<Integer> inner = new ArrayList<>(path);
                inner.add(i);
                walk(group.criteria().get(i), inner, others(group.criteria(), i), group.how(), effect, into);
            }
            return;
        }
        BitSet own = past.holding(criterion);
        into.add(new CriterionFigures(
                List.copyOf(path),
                own.cardinality(),
                effect.of(siblings, how, own).cardinality(),
                values(criterion)));
    }

    private List<CriterionFigures.ValueFigures> values(Criterion criterion) {
        if (!(criterion instanceof SimpleCriterion test)) {
            return List.of();
        }
        List<CriterionFigures.ValueFigures> figures = new ArrayList<>();
        List<Integer> matches = past.matches(test);
        List<Optional<Integer>> covered = test.covered();
        for (int i = 0; i < matches.size(); i++) {
            figures.add(new CriterionFigures.ValueFigures(matches.get(i), covered.get(i)));
        }
        return figures;
    }

    /** In an all-of group: met by all the others and removed by this one. In an any-of group: taken by this one only. */
    private BitSet effectOfPicking(List<Criterion> siblings, Group.Quantifier how, BitSet own) {
        if (how == Group.Quantifier.ALL) {
            BitSet removed = siblings.isEmpty()
                    ? past.holding(new Everything())
                    : past.holding(new Group(Group.Quantifier.ALL, siblings));
            removed.andNot(own);
            return removed;
        }
        BitSet only = (BitSet) own.clone();
        siblings.forEach(sibling -> only.andNot(past.holding(sibling)));
        return only;
    }

    private BitSet excluded(List<Criterion> siblings, Group.Quantifier how, BitSet own) {
        BitSet excluded = past.holding(rule.picksOut());
        excluded.and(own);
        return excluded;
    }

    private static List<Criterion> others(List<Criterion> all, int without) {
        List<Criterion> rest = new ArrayList<>(all);
        rest.remove(without);
        return rest;
    }
}
