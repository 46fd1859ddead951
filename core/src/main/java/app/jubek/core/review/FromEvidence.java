package app.jubek.core.review;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Everything;
import app.jubek.core.decide.Course;
import app.jubek.core.decide.Trace;
import app.jubek.core.review.Finding.Remedy;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.text.Words;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Findings that past mail shows. */
final class FromEvidence {
    /** A rule that takes more than this part of all mail is too broad, unless every message was meant. */
    static final double BROAD = 0.4;

    /** With less past mail than this nothing is said about what never came. */
    private static final int LEAST = 50;

    private final RuleBook book;
    private final Corpus.View past;
    private final List<Finding> found = new ArrayList<>();
    private final Map<RuleId, BitSet> picked = new LinkedHashMap<>();

    FromEvidence(RuleBook book, Corpus.View past) {
        this.book = book;
        this.past = past;
        book.rules().forEach(rule -> picked.put(rule.id(), new BitSet()));
        Course course = new Course(book);
        for (int at = 0; at < past.size(); at++) {
            Trace trace = course.run(past.hits(at));
            for (int i = 0; i < book.rules().size(); i++) {
                if (trace.isPicked(i)) {
                    picked.get(book.rules().get(i).id()).set(at);
                }
            }
        }
    }

    /**
     * @param silent rules of which something worse is known already
     */
    List<Finding> findings(Set<RuleId> silent) {
        List<Rule> on = book.rules().stream()
                .filter(rule -> rule.on() && !silent.contains(rule.id()))
                .toList();
        for (Rule rule : on) {
            BitSet meets = meets(rule, past);
            if (past.size() >= LEAST) {
                rarely(rule, meets);
                broad(rule, meets);
            }
        }
        for (int i = 0; i < on.size(); i++) {
            for (Rule earlier : on.subList(0, i)) {
                together(earlier, on.get(i));
            }
            forwardAndRedirect(on.get(i));
        }
        return found;
    }

    /** The places of the messages that a rule would take if it stood alone. */
    static BitSet meets(Rule rule, Corpus.View past) {
        BitSet meets = past.holding(rule.picksOut());
        meets.andNot(past.holding(rule.leavesOut()));
        return meets;
    }

    private void rarely(Rule rule, BitSet meets) {
        if (meets.isEmpty()) {
            note(
                    Sort.NEVER_MATCHED,
                    rule,
                    "None of the " + past.size() + " past messages is picked.",
                    Optional.empty(),
                    new Remedy("Pause it", Books.with(book, rule, r -> r.switched(false))));
        } else if (picked.get(rule.id()).isEmpty()) {
            Rule taker = taker(rule, meets.length() - 1);
            note(
                    Sort.NEVER_REACHED,
                    rule,
                    "All " + meets.cardinality() + " messages for it end at rules above, the newest at "
                            + Words.quoted(taker.name()) + ".",
                    Optional.of(meets.length() - 1),
                    new Remedy("Move it above " + Words.quoted(taker.name()), Books.movedAbove(book, rule, taker)));
        }
    }

    private Rule taker(Rule rule, int at) {
        return book.rules().stream()
                .filter(r -> picked.get(r.id()).get(at) && r.ends())
                .findFirst()
                .orElse(rule);
    }

    private void broad(Rule rule, BitSet meets) {
        boolean meant = rule.picksOut() instanceof Everything;
        if (!meant && meets.cardinality() > BROAD * past.size()) {
            found.add(new Finding(
                    Sort.TOO_BROAD,
                    rule.id(),
                    "It takes " + 100 * meets.cardinality() / past.size() + " % of all mail.",
                    Optional.of(meets.length() - 1),
                    Optional.empty()));
        }
    }

    private void together(Rule earlier, Rule later) {
        BitSet both = (BitSet) picked.get(earlier.id()).clone();
        both.and(picked.get(later.id()));
        if (both.isEmpty()) {
            return;
        }
        Optional<Integer> example = Optional.of(both.length() - 1);
        if (replies(earlier) && replies(later)) {
            note(
                    Sort.TWO_REPLIES,
                    later,
                    both.cardinality() + " messages would be answered by it and by " + Words.quoted(earlier.name())
                            + ", which answers first: this answer never goes out to them.",
                    example,
                    new Remedy("End at " + Words.quoted(earlier.name()), Books.with(book, earlier, Books::ending)));
        }
        Set<String> shared = recipients(later, Step.Forward.class);
        shared.retainAll(recipients(earlier, Step.Redirect.class));
        Set<String> other = recipients(later, Step.Redirect.class);
        other.retainAll(recipients(earlier, Step.Forward.class));
        shared.addAll(other);
        if (!shared.isEmpty()) {
            note(
                    Sort.FORWARD_AND_REDIRECT,
                    later,
                    String.join(", ", shared) + " gets " + both.cardinality()
                            + " messages forwarded and redirected, by it" + " and by " + Words.quoted(earlier.name())
                            + ".",
                    example,
                    new Remedy("End at " + Words.quoted(earlier.name()), Books.with(book, earlier, Books::ending)));
        }
    }

    private void forwardAndRedirect(Rule rule) {
        Set<String> shared = recipients(rule, Step.Forward.class);
        shared.retainAll(recipients(rule, Step.Redirect.class));
        if (!shared.isEmpty()) {
            BitSet taken = picked.get(rule.id());
            note(
                    Sort.FORWARD_AND_REDIRECT,
                    rule,
                    "It forwards and redirects the same messages to " + String.join(", ", shared) + ".",
                    taken.isEmpty() ? Optional.empty() : Optional.of(taken.length() - 1),
                    new Remedy(
                            "Only redirect them",
                            Books.with(
                                    book,
                                    rule,
                                    r -> Books.doing(
                                            r,
                                            r.steps().stream()
                                                    .filter(step -> !(step instanceof Step.Forward))
                                                    .toList()))));
        }
    }

    private void note(Sort sort, Rule rule, String cause, Optional<Integer> example, Remedy remedy) {
        found.add(new Finding(sort, rule.id(), cause, example, Optional.of(remedy)));
    }

    private static boolean replies(Rule rule) {
        return rule.steps().stream().anyMatch(step -> step instanceof Step.Reply);
    }

    private static Set<String> recipients(Rule rule, Class<? extends Step.HandOn> how) {
        Stream<Step.HandOn> steps = FromCriteria.handsOn(rule).filter(how::isInstance);
        return steps.flatMap(step -> step.to().stream())
                .map(MailAddress::key)
                .collect(Collectors.toCollection(HashSet::new));
    }
}
