package app.jubek.core.rehearse;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.Test;
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
        return collect(rule.leavesOut(), this::spared);
    }

    private interface Effect {
        BitSet of(List<Criterion> siblings, Group.How how, BitSet own);
    }

    private List<CriterionFigures> collect(Criterion root, Effect effect) {
        List<CriterionFigures> found = new ArrayList<>();
        if (!(root instanceof Nothing)) {
            walk(root, List.of(), List.of(), Group.How.ALL, effect, found);
        }
        return List.copyOf(found);
    }

    private void walk(
            Criterion criterion,
            List<Integer> path,
            List<Criterion> siblings,
            Group.How how,
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
        if (!(criterion instanceof Test test)) {
            return List.of();
        }
        List<CriterionFigures.ValueFigures> figures = new ArrayList<>();
        List<Integer> reaches = past.reaches(test);
        List<Optional<Integer>> covered = test.covered();
        for (int i = 0; i < reaches.size(); i++) {
            figures.add(new CriterionFigures.ValueFigures(reaches.get(i), covered.get(i)));
        }
        return figures;
    }

    /** In an all-of group: met by all the others and removed by this one. In an any-of group: taken by this one only. */
    private BitSet effectOfPicking(List<Criterion> siblings, Group.How how, BitSet own) {
        if (how == Group.How.ALL) {
            BitSet removed = siblings.isEmpty()
                    ? past.holding(new Everything())
                    : past.holding(new Group(Group.How.ALL, siblings));
            removed.andNot(own);
            return removed;
        }
        BitSet only = (BitSet) own.clone();
        siblings.forEach(sibling -> only.andNot(past.holding(sibling)));
        return only;
    }

    private BitSet spared(List<Criterion> siblings, Group.How how, BitSet own) {
        BitSet spared = past.holding(rule.picksOut());
        spared.and(own);
        return spared;
    }

    private static List<Criterion> others(List<Criterion> all, int without) {
        List<Criterion> rest = new ArrayList<>(all);
        rest.remove(without);
        return rest;
    }
}
