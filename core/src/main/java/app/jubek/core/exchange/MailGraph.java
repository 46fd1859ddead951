package app.jubek.core.exchange;

import app.jubek.core.address.MailAddress;
import app.jubek.core.exchange.Exchange.How;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Who is sent mail by the rules of whom, and which of it comes back; who neither sends nor gets any is left out. */
public record MailGraph(List<Node> nodes, List<Edge> edges) {
    /** Stands for everybody who may write. */
    public static final String SENDERS = "senders";

    public MailGraph {
        nodes = List.copyOf(nodes);
        edges = List.copyOf(edges);
    }

    /** Where somebody is. */
    public enum Where {
        /** A mailbox whose rules are carried out here. */
        HERE,
        /** In an own domain. */
        INSIDE,
        OUTSIDE,
        /** Whoever writes and is answered. */
        SENDERS
    }

    /**
     * @param id the address as it is compared
     */
    public record Node(String id, Where where) {}

    /** What a rule does that sends mail along an edge. */
    public record Way(RuleId rule, String name, StepKind kind) {}

    /**
     * @param by the rules; none where people and programs answer
     * @param inCircle whether mail could come back from its end to its beginning, if rules picked it all the way
     * @param round the worst of what was played through along it and went round
     */
    public record Edge(String from, String to, List<Way> by, boolean inCircle, Optional<How> round) {
        public Edge {
            by = List.copyOf(by);
        }
    }

    /**
     * @param shown the mailboxes whose rules are drawn
     * @param tried what became of them
     */
    public static MailGraph of(List<MailboxHere> shown, Collection<Loops.Tried> tried) {
        return new Drawing(shown).with(tried);
    }

    private static final class Drawing {
        private final List<MailboxHere> shown;
        private final Map<String, Node> nodes = new LinkedHashMap<>();
        private final Map<Line, List<Way>> lines = new LinkedHashMap<>();

        private record Line(String from, String to) {}

        Drawing(List<MailboxHere> shown) {
            this.shown = shown;
            shown.forEach(mailbox -> add(mailbox.identity()));
            shown.forEach(mailbox -> mailbox.sending().forEach(rule -> add(mailbox, rule)));
        }

        private void add(MailboxHere mailbox, Rule rule) {
            for (Step.HandOn step : rule.handsOn().toList()) {
                mailbox.destinations(step).forEach(to -> add(mailbox, add(to), rule, step.kind()));
            }
            if (MailboxHere.replies(rule)) {
                nodes.putIfAbsent(SENDERS, new Node(SENDERS, Where.SENDERS));
                add(mailbox, SENDERS, rule, StepKind.REPLY);
            }
        }

        private void add(MailboxHere mailbox, String to, Rule rule, StepKind kind) {
            List<Way> by = lines.computeIfAbsent(new Line(mailbox.identity().key(), to), line -> new ArrayList<>());
            by.add(new Way(rule.id(), rule.name(), kind));
        }

        private String add(MailAddress address) {
            String id = idOf(address);
            nodes.putIfAbsent(id, new Node(id, where(address)));
            return id;
        }

        /** A mailbox is one, by whichever of its addresses. */
        private String idOf(MailAddress address) {
            return shown.stream()
                    .filter(mailbox -> mailbox.own().isOwn(address))
                    .map(mailbox -> mailbox.identity().key())
                    .findFirst()
                    .orElse(address.key());
        }

        private Where where(MailAddress address) {
            if (shown.stream().anyMatch(mailbox -> mailbox.own().isOwn(address))) {
                return Where.HERE;
            }
            boolean inside = shown.stream().anyMatch(mailbox -> mailbox.own().isInside(address));
            return inside ? Where.INSIDE : Where.OUTSIDE;
        }

        MailGraph with(Collection<Loops.Tried> tried) {
            Map<Line, How> rounds = new LinkedHashMap<>();
            tried.stream()
                    .filter(Loops.Tried::goesRound)
                    .flatMap(found -> found.exchange().stream())
                    .forEach(exchange -> along(exchange).forEach(line -> {
                        rounds.merge(line, exchange.how(), (one, other) -> one.compareTo(other) < 0 ? one : other);
                        lines.computeIfAbsent(line, answers -> new ArrayList<>());
                    }));
            List<Edge> edges = new ArrayList<>();
            lines.forEach((line, by) -> edges.add(new Edge(
                    line.from(),
                    line.to(),
                    by,
                    isReached(line.from(), line.to()),
                    Optional.ofNullable(rounds.get(line)))));
            List<Node> linked = nodes.values().stream()
                    .filter(node -> lines.keySet().stream()
                            .anyMatch(line ->
                                    line.from().equals(node.id()) || line.to().equals(node.id())))
                    .toList();
            return new MailGraph(linked, edges);
        }

        private List<Line> along(Exchange exchange) {
            return exchange.messages().stream()
                    .filter(passed -> !(passed.by() instanceof Passed.By.Sender))
                    .map(passed -> new Line(drawn(passed.from()), drawn(passed.to())))
                    .filter(line -> nodes.containsKey(line.from()) && nodes.containsKey(line.to()))
                    .toList();
        }

        private String drawn(MailAddress address) {
            String id = idOf(address);
            return nodes.containsKey(id) ? id : SENDERS;
        }

        private boolean isReached(String end, String start) {
            Set<String> seen = new HashSet<>();
            Deque<String> next = new ArrayDeque<>(List.of(start));
            while (!next.isEmpty()) {
                String at = next.pop();
                if (at.equals(end)) {
                    return true;
                }
                if (seen.add(at)) {
                    lines.keySet().stream()
                            .filter(line -> line.from().equals(at))
                            .map(Line::to)
                            .forEach(next::push);
                }
            }
            return false;
        }
    }
}
