package app.jubek.core.rehearsal;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.decide.Trace;
import app.jubek.core.evidence.PastRun;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.RepliesGiven;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import java.time.Instant;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What one side does with all messages, in the order of arrival. Replies are given one after the other from an empty
 * history, so that who was answered is not answered again too soon.
 */
public final class Outcomes {
    private final Side side;
    private final Corpus.View past;
    private final PastRun run;
    private final Candidates candidates;
    private final BitSet fenced;
    private final Side.Fate[] fates;
    private final Map<RuleId, BitSet> picked = new HashMap<>();
    private final Map<String, BitSet> destinations = new HashMap<>();
    private final Map<String, BitSet> answered = new HashMap<>();
    private final RepliesGiven given = new RepliesGiven();

    Outcomes(Side side, Corpus.View past) {
        this.side = side;
        this.past = past;
        this.run = new PastRun(side.book(), past, side.at().opening());
        this.candidates = new Candidates(side.book(), past);
        this.fenced = past.holding(side.book().fence());
        this.fates = new Side.Fate[past.size()];
    }

    /** The next message; they are to be gone through in order. */
    void go(int at) {
        RuleBook some = candidates.of(at);
        if (some.all().isEmpty()) {
            fates[at] = Side.Fate.LEFT;
            return;
        }
        Trace trace = new PastRun(some, past, run.opening()).trace(at);
        List<Rule> picking = trace.picking();
        picking.forEach(rule -> set(picked, rule.id(), at));
        fates[at] = picking.isEmpty() ? Side.Fate.LEFT : noted(at, decided(at, trace, picking));
    }

    private Side.Fate noted(int at, Decision decision) {
        for (PlannedStep planned : decision.planned()) {
            planned.sending().ifPresent(sending -> {
                boolean reply = planned.step() instanceof Step.Reply && !sending.isCopy();
                if (reply) {
                    answered(at, planned);
                } else {
                    set(destinations, sending.to().key(), at);
                }
            });
        }
        return side.fate(decision);
    }

    private void answered(int at, PlannedStep planned) {
        PastMessage message = past.message(at);
        ReplyOptions options = ((Step.Reply) planned.step()).options();
        Set<String> senders = ReplyHistory.senders(message.message(), options.to());
        given.note(new ReplyHistory.Entry(ReplyHistory.key(planned.rule(), options), senders, message.received()));
        senders.stream().sorted().findFirst().ifPresent(sender -> set(answered, sender, at));
    }

    private Decision decided(int at, Trace trace, List<Rule> picking) {
        PastMessage message = past.message(at);
        DecisionContext then = side.at()
                .of(message.seen().context().atArrival())
                .after(before(message.message(), message.received(), picking));
        return Engine.decide(message.seen(), then, fenced.get(at), trace);
    }

    private ReplyHistory before(ReadMessage message, Instant received, List<Rule> picking) {
        List<String> senders = picking.stream()
                .flatMap(rule -> rule.steps().stream())
                .flatMap(step -> step instanceof Step.Reply reply ? Stream.of(reply) : Stream.empty())
                .flatMap(reply -> ReplyHistory.senders(message, reply.options().to()).stream())
                .toList();
        return given.before(senders, received);
    }

    /** The whole decision on one message, as it was made in its turn. */
    public Decision decision(int at) {
        Trace trace = run.trace(at);
        return decided(at, trace, trace.picking());
    }

    public Side side() {
        return side;
    }

    public Side.Fate fate(int at) {
        return fates[at];
    }

    /** Where the messages are that a rule picks. */
    public BitSet picked(RuleId rule) {
        return copy(picked, rule);
    }

    /** Where the messages are of which something reaches an address, beside replies to senders. */
    public BitSet reaching(String destination) {
        return copy(destinations, destination);
    }

    public Set<String> destinations() {
        return Set.copyOf(destinations.keySet());
    }

    /** Where the messages are of a sender that are replied to. */
    public BitSet answered(String sender) {
        return copy(answered, sender);
    }

    /** Where all messages are that are replied to. */
    public BitSet answered() {
        BitSet all = new BitSet();
        answered.values().forEach(all::or);
        return all;
    }

    /** Those who are replied to more than once. */
    public Set<String> answeredAgain() {
        Set<String> again = new HashSet<>();
        answered.forEach((sender, at) -> {
            if (at.cardinality() > 1) {
                again.add(sender);
            }
        });
        return again;
    }

    private static <K> void set(Map<K, BitSet> in, K key, int at) {
        in.computeIfAbsent(key, k -> new BitSet()).set(at);
    }

    private static <K> BitSet copy(Map<K, BitSet> of, K key) {
        return of.containsKey(key) ? (BitSet) of.get(key).clone() : new BitSet();
    }
}
