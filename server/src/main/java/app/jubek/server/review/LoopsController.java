package app.jubek.server.review;

import app.jubek.core.exchange.Exchange;
import app.jubek.core.exchange.Loops;
import app.jubek.core.exchange.MailGraph;
import app.jubek.core.exchange.MailboxHere;
import app.jubek.core.review.Finding;
import app.jubek.core.review.Review;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.StepKind;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.rulebook.RuleBooks;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Who is sent mail by the rules, and whether it comes back; nothing leaves. */
@RestController
class LoopsController {
    private final Exchanges exchanges;
    private final RuleBooks books;
    private final MailboxAccess access;

    LoopsController(Exchanges exchanges, RuleBooks books, MailboxAccess access) {
        this.exchanges = exchanges;
        this.books = books;
        this.access = access;
    }

    /**
     * @param document rules as they would be; those of today where it is empty
     */
    record LoopsAsked(
            @Schema(ref = "#/components/schemas/RuleBook") Optional<JsonNode> document) {}

    /**
     * @param nodes of all mailboxes that one may see, and everybody whom their rules send mail
     * @param rules of this mailbox, those that are on and make something leave
     */
    record LoopsView(List<MailGraph.Node> nodes, List<EdgeView> edges, List<TriedRule> rules) {}

    /**
     * Mail from one to another.
     *
     * @param by rules that send it; none where people and programs answer
     * @param inCircle whether mail could come back the same way, if rules picked it all along
     * @param round the worst of what was played through along it and went on after it came back
     */
    record EdgeView(String from, String to, List<SendingRule> by, boolean inCircle, Optional<Exchange.How> round) {
        static EdgeView of(MailGraph.Edge edge) {
            return new EdgeView(
                    edge.from(),
                    edge.to(),
                    edge.by().stream()
                            .map(way -> new SendingRule(way.rule().value(), way.name(), way.kind()))
                            .toList(),
                    edge.inCircle(),
                    edge.round());
        }
    }

    record SendingRule(String rule, String name, StepKind kind) {}

    @PostMapping("/api/mailboxes/{mailbox}/loops")
    LoopsView loops(@AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, @RequestBody LoopsAsked asked) {
        RuleBook rules = asked.document()
                .filter(JsonNode::isObject)
                .map(RuleBookJson::read)
                .orElseGet(() -> books.current(mailbox).book());
        Map<UUID, MailboxHere> here = exchanges.here(mailbox, rules);
        List<UUID> seen =
                access.mailboxes(who).stream().filter(here::containsKey).toList();
        List<Loops.Tried> ours = exchanges.tried(here, here.get(mailbox), exchanges.pastOf(mailbox), rule -> true);
        Stream<Loops.Tried> others = seen.stream()
                .filter(other -> !other.equals(mailbox))
                .flatMap(other -> exchanges.tried(here, here.get(other), Loops.Examples.none(), rule -> true).stream());
        List<MailboxHere> shown = seen.stream().map(here::get).toList();
        MailGraph graph =
                MailGraph.of(shown, Stream.concat(ours.stream(), others).toList());
        List<Finding> findings = Review.loops(rules, ours);
        Discretion discretion = new Discretion(shown, graph);
        return new LoopsView(
                graph.nodes(),
                graph.edges().stream().map(EdgeView::of).toList(),
                ours.stream()
                        .map(tried -> TriedRule.of(tried, findings, discretion))
                        .toList());
    }
}
