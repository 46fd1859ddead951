package app.jubek.core.rehearsal;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Of each message the rules that may act on it: those that are on and whose criteria it meets. The others can't, so that a
 * book of these alone does the same with it, at less cost where there are many rules.
 */
final class Candidates {
    private final RuleBook book;
    private final BitSet[] ofMessage;
    private final Map<BitSet, RuleBook> books = new HashMap<>();

    Candidates(RuleBook book, Corpus.View past) {
        this.book = book;
        this.ofMessage = new BitSet[past.size()];
        List<Rule> all = book.all();
        past.learn(Stream.concat(all.stream().map(Rule::picksOut), all.stream().map(Rule::leavesOut))
                .toList());
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).on()) {
                int rule = i;
                past.holding(all.get(i).picksOut()).stream().forEach(at -> add(at, rule));
            }
        }
    }

    private void add(int at, int rule) {
        if (ofMessage[at] == null) {
            ofMessage[at] = new BitSet();
        }
        ofMessage[at].set(rule);
    }

    RuleBook of(int at) {
        return ofMessage[at] == null ? RuleBook.empty() : books.computeIfAbsent(ofMessage[at], this::some);
    }

    private RuleBook some(BitSet chosen) {
        List<Rule> rules = new ArrayList<>();
        List<Rule> tail = new ArrayList<>();
        int before = book.rules().size();
        chosen.stream().forEach(i -> (i < before ? rules : tail).add(book.all().get(i)));
        return new RuleBook(rules, book.fence(), tail);
    }
}
