package app.jubek.core.evidence;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.decide.Trace;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How past mail passes through the rules: how many messages each rule that is on picks, and how many stay in the inbox.
 *
 * @param byRule messages that a rule picks
 * @param excludedByRule messages that only its exceptions keep from it
 * @param inInbox messages of which the engine says that they would stay in the inbox
 */
public record RuleMatches(Map<RuleId, Integer> byRule, Map<RuleId, Integer> excludedByRule, int inInbox) {
    public RuleMatches {
        byRule = Map.copyOf(byRule);
        excludedByRule = Map.copyOf(excludedByRule);
    }

    /**
     * @param context of the mailbox; that of each message takes its message's place
     */
    public static RuleMatches of(RuleBook book, Corpus.View past, DecisionContext context) {
        RuleBook silent = withoutReplies(book);
        PastRun run = new PastRun(silent, past, context.opening());
        BitSet fenced = past.holding(book.fence());
        Map<RuleId, Integer> byRule = new HashMap<>();
        Map<RuleId, Integer> excluded = new HashMap<>();
        int stay = 0;
        for (int at = 0; at < past.size(); at++) {
            Trace trace = run.trace(at);
            for (int i = 0; i < trace.size(); i++) {
                RuleId rule = silent.all().get(i).id();
                if (trace.isExcluded(i)) {
                    excluded.merge(rule, 1, Integer::sum);
                }
                if (trace.isPicked(i)) {
                    byRule.merge(rule, 1, Integer::sum);
                }
            }
            stay += staysInInbox(past, at, trace, fenced.get(at), context) ? 1 : 0;
        }
        return new RuleMatches(byRule, excluded, stay);
    }

    private static boolean staysInInbox(
            Corpus.View past, int at, Trace trace, boolean fenced, DecisionContext context) {
        if (trace.picking().stream().allMatch(rule -> rule.steps().isEmpty())) {
            return true;
        }
        return Engine.decide(
                        past.message(at).seen(),
                        context.of(past.message(at).seen().context()),
                        fenced,
                        trace)
                .staysInInbox();
    }

    /** A reply never takes a message out of the inbox, and writing it costs most. */
    private static RuleBook withoutReplies(RuleBook book) {
        return new RuleBook(withoutReplies(book.rules()), book.fence(), withoutReplies(book.tail()));
    }

    private static List<Rule> withoutReplies(List<Rule> rules) {
        return rules.stream()
                .map(rule -> rule.doing(rule.steps().stream()
                        .filter(step -> !(step instanceof Step.Reply))
                        .toList()))
                .toList();
    }

    public int excluded(RuleId rule) {
        return excludedByRule.getOrDefault(rule, 0);
    }

    public int picked(RuleId rule) {
        return byRule.getOrDefault(rule, 0);
    }
}
