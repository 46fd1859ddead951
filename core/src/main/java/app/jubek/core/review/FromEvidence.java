package app.jubek.core.review;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Everything;
import app.jubek.core.decide.Trace;
import app.jubek.core.evidence.PastRun;
import app.jubek.core.review.Finding.Remedy;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import app.jubek.core.step.Step;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
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

    private static final Duration AHEAD = Duration.ofDays(400);

    private final RuleBook book;
    private final Corpus.View past;
    private final Opening opening;
    private final Instant now;
    private final List<Finding> found = new ArrayList<>();
    private final Map<RuleId, BitSet> picked = new LinkedHashMap<>();
    /** What each would take if it stood alone, at any time. */
    private final Map<RuleId, BitSet> met = new HashMap<>();

    FromEvidence(RuleBook book, Corpus.View past, Opening opening, Instant now) {
        this.book = book;
        this.past = past;
        this.opening = opening;
        this.now = now;
        book.rules().forEach(rule -> picked.put(rule.id(), new BitSet()));
        PastRun run = new PastRun(book, past, opening);
        for (int at = 0; at < past.size(); at++) {
            Trace trace = run.trace(at);
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
            met.put(rule.id(), meets);
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
                    FindingText.NONE_PICKED.with(past.size()),
                    Optional.empty(),
                    new Remedy(RemedyText.PAUSE_IT.with(), Books.with(book, rule, r -> r.switched(false))));
        } else if (picked.get(rule.id()).isEmpty()) {
            BitSet inItsTime = inItsTime(rule, meets);
            taker(inItsTime.length() - 1).ifPresent(taker -> stoppedAbove(rule, inItsTime, taker));
        }
    }

    /** What comes while a rule rests is stopped by nobody. */
    private BitSet inItsTime(Rule rule, BitSet meets) {
        BitSet inItsTime = new BitSet();
        meets.stream()
                .filter(at -> rule.schedule().isActive(past.message(at).received(), opening))
                .forEach(inItsTime::set);
        return inItsTime;
    }

    private void stoppedAbove(Rule rule, BitSet stopped, Rule taker) {
        note(
                Sort.NEVER_REACHED,
                rule,
                FindingText.ALL_STOPPED_ABOVE.with(stopped.cardinality(), taker.name()),
                Optional.of(stopped.length() - 1),
                new Remedy(RemedyText.MOVE_IT_ABOVE.with(taker.name()), Books.movedAbove(book, rule, taker)));
    }

    private Optional<Rule> taker(int at) {
        return book.rules().stream()
                .filter(r -> at >= 0 && picked.get(r.id()).get(at) && r.ends())
                .findFirst();
    }

    private void broad(Rule rule, BitSet meets) {
        boolean meant = rule.picksOut() instanceof Everything;
        if (!meant && meets.cardinality() > BROAD * past.size()) {
            found.add(new Finding(
                    Sort.TOO_BROAD,
                    rule.id(),
                    FindingText.PICKS_SHARE.with(100 * meets.cardinality() / past.size()),
                    Optional.of(meets.length() - 1),
                    Optional.empty()));
        }
    }

    private void together(Rule earlier, Rule later) {
        BitSet both = (BitSet) picked.get(earlier.id()).clone();
        both.and(picked.get(later.id()));
        if (both.isEmpty()) {
            repliesAhead(earlier, later);
            return;
        }
        Optional<Integer> example = Optional.of(both.length() - 1);
        if (replies(earlier) && replies(later)) {
            note(
                    Sort.TWO_REPLIES,
                    later,
                    FindingText.REPLIES_AFTER_ANOTHER.with(both.cardinality(), earlier.name()),
                    example,
                    new Remedy(RemedyText.STOP_AT.with(earlier.name()), Books.with(book, earlier, Books::ending)));
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
                    FindingText.FORWARDED_AND_REDIRECTED_BY_TWO.with(
                            Argument.and(List.copyOf(shared)), both.cardinality(), earlier.name()),
                    example,
                    new Remedy(RemedyText.STOP_AT.with(earlier.name()), Books.with(book, earlier, Books::ending)));
        }
    }

    /** They never were active at once, and will be. */
    private void repliesAhead(Rule earlier, Rule later) {
        boolean timed = !earlier.schedule().equals(later.schedule());
        if (!timed || earlier.ends() || !replies(earlier) || !replies(later)) {
            return;
        }
        BitSet both = (BitSet) met.get(earlier.id()).clone();
        both.and(met.get(later.id()));
        List<Rule> above = book.rules().subList(0, book.rules().indexOf(later));
        int[] goOn = both.stream()
                .filter(at -> taker(at).filter(above::contains).isEmpty())
                .toArray();
        if (goOn.length == 0) {
            return;
        }
        earlier.schedule()
                .firstWith(later.schedule(), now, now.plus(AHEAD), opening)
                .ifPresent(at -> note(
                        Sort.TWO_REPLIES,
                        later,
                        FindingText.WILL_REPLY_AFTER_ANOTHER.with(
                                goOn.length, earlier.name(), LocalDate.ofInstant(at, opening.zone())),
                        Optional.of(goOn[goOn.length - 1]),
                        new Remedy(RemedyText.STOP_AT.with(earlier.name()), Books.with(book, earlier, Books::ending))));
    }

    private void forwardAndRedirect(Rule rule) {
        Set<String> shared = recipients(rule, Step.Forward.class);
        shared.retainAll(recipients(rule, Step.Redirect.class));
        if (!shared.isEmpty()) {
            BitSet taken = picked.get(rule.id());
            note(
                    Sort.FORWARD_AND_REDIRECT,
                    rule,
                    FindingText.FORWARDS_AND_REDIRECTS.with(Argument.and(List.copyOf(shared))),
                    taken.isEmpty() ? Optional.empty() : Optional.of(taken.length() - 1),
                    new Remedy(
                            RemedyText.ONLY_REDIRECT.with(),
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

    private void note(Sort sort, Rule rule, Statement cause, Optional<Integer> example, Remedy remedy) {
        found.add(new Finding(sort, rule.id(), cause, example, Optional.of(remedy)));
    }

    private static boolean replies(Rule rule) {
        return rule.steps().stream().anyMatch(step -> step instanceof Step.Reply);
    }

    private static Set<String> recipients(Rule rule, Class<? extends Step.HandOn> how) {
        Stream<Step.HandOn> steps = rule.handsOn().filter(how::isInstance);
        return steps.flatMap(step -> step.to().stream())
                .map(MailAddress::key)
                .collect(Collectors.toCollection(HashSet::new));
    }
}
