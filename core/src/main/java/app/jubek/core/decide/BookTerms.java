package app.jubek.core.decide;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TermMatcher;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Everything that the rules of a book look for, each thing once and numbered from 0; the fence counts as one rule more. */
final class BookTerms {
    private final Map<TermMatcher, Integer> numbers = new LinkedHashMap<>();
    private final Map<SimpleCriterion, int[]> termsOf = new IdentityHashMap<>();
    private final List<BitSet> rulesOf = new ArrayList<>();

    BookTerms(RuleBook book) {
        List<Rule> rules = book.all();
        for (int i = 0; i < rules.size(); i++) {
            number(rules.get(i).picksOut(), i);
            number(rules.get(i).leavesOut(), i);
        }
        number(book.fence(), rules.size());
    }

    private void number(Criterion criterion, int rule) {
        criterion.tests().forEach(test -> {
            List<TermMatcher> terms = test.terms();
            int[] own = new int[terms.size()];
            for (int i = 0; i < own.length; i++) {
                own[i] = numbers.computeIfAbsent(terms.get(i), term -> {
                    rulesOf.add(new BitSet());
                    return rulesOf.size() - 1;
                });
                rulesOf.get(own[i]).set(rule);
            }
            termsOf.put(test, own);
        });
    }

    List<TermMatcher> all() {
        return List.copyOf(numbers.keySet());
    }

    /** The numbers of what a criterion looks for. */
    int[] of(SimpleCriterion test) {
        return termsOf.get(test);
    }

    /** For each term the places of the rules that look for it. */
    int[][] rules() {
        return rulesOf.stream().map(set -> set.stream().toArray()).toArray(int[][]::new);
    }
}
