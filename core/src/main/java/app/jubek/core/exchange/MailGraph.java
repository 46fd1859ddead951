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
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

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
        private final AllHere shown;
        private final Map<String, Node> nodes = new LinkedHashMap<>();
        private final Map<Line, List<Way>> lines = new LinkedHashMap<>();

        private record Line(String from, String to) {}

        Drawing(List<MailboxHere> shown) {
            this.shown = new AllHere(shown);
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
            return shown.at(address).map(MailboxHere::identity).orElse(address).key();
        }

        private Where where(MailAddress address) {
            if (shown.isHere(address)) {
                return Where.HERE;
            }
            return shown.isInside(address) ? Where.INSIDE : Where.OUTSIDE;
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
            Map<String, List<String>> next = lines.keySet().stream()
                    .collect(Collectors.groupingBy(Line::from, Collectors.mapping(Line::to, Collectors.toList())));
            Map<String, Set<String>> reached = new HashMap<>();
            List<Edge> edges = new ArrayList<>();
            lines.forEach((line, by) -> edges.add(new Edge(
                    line.from(),
                    line.to(),
                    by,
                    reached.computeIfAbsent(line.to(), to -> reached(to, next)).contains(line.from()),
                    Optional.ofNullable(rounds.get(line)))));
            Set<String> ends = lines.keySet().stream()
                    .flatMap(line -> Stream.of(line.from(), line.to()))
                    .collect(Collectors.toSet());
            List<Node> linked = nodes.values().stream()
                    .filter(node -> ends.contains(node.id()))
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

        /** Everybody whom mail may reach from somebody, themselves only where it comes back. */
        private Set<String> reached(String start, Map<String, List<String>> next) {
            Set<String> seen = new HashSet<>();
            Deque<String> under = new ArrayDeque<>(next.getOrDefault(start, List.of()));
            while (!under.isEmpty()) {
                String at = under.pop();
                if (seen.add(at)) {
                    next.getOrDefault(at, List.of()).forEach(under::push);
                }
            }
            return seen;
        }
    }
}
