package app.jubek.server.review;

import app.jubek.core.address.MailAddress;
import app.jubek.core.exchange.Correspondent;
import app.jubek.core.exchange.Exchange;
import app.jubek.core.exchange.Loops;
import app.jubek.core.exchange.Passed;
import app.jubek.core.review.Finding;
import app.jubek.core.step.StepKind;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * A rule that makes something leave, and what came of it when it was played through.
 *
 * @param how empty where no message could be made that it picks
 * @param messages from the first on
 * @param endedBy why the last was not sent on; empty where that is nobody's to see
 * @param finding what is amiss with it
 */
record TriedRule(
        String rule,
        String name,
        Optional<Exchange.How> how,
        Optional<Correspondent> among,
        List<PassedView> messages,
        Optional<Statement> endedBy,
        Optional<LoopFinding> finding) {

    /**
     * @param remedy what leads out of it
     * @param document the rules with that done; nothing is saved
     */
    record LoopFinding(
            Statement cause,
            Optional<Statement> remedy,
            @Schema(ref = "#/components/schemas/RuleBook") Optional<JsonNode> document) {}

    /**
     * One message of it; empty is what belongs to mailboxes of others.
     *
     * @param kind what a rule did
     * @param rule its name
     */
    record PassedView(
            Optional<String> from,
            Optional<String> to,
            Optional<String> subject,
            Optional<StepKind> kind,
            Optional<String> rule) {

        static PassedView of(Passed passed, Discretion discretion) {
            boolean first = passed.by() instanceof Passed.By.Sender;
            boolean theirs = discretion.isTheirs(passed.from()) || discretion.isTheirs(passed.to());
            Optional<Passed.By.OfRule> by =
                    passed.by() instanceof Passed.By.OfRule rule ? Optional.of(rule) : Optional.empty();
            return new PassedView(
                    Optional.of(passed.from())
                            .filter(from -> first || discretion.isKnown(from))
                            .map(MailAddress::address),
                    Optional.of(passed.to()).filter(discretion::isKnown).map(MailAddress::address),
                    Optional.of(passed.subject()).filter(subject -> theirs),
                    by.map(Passed.By.OfRule::kind),
                    by.filter(rule -> discretion.isTheirs(rule.mailbox())).map(Passed.By.OfRule::name));
        }
    }

    static TriedRule of(Loops.Tried tried, List<Finding> findings, Discretion discretion) {
        List<Passed> messages = tried.exchange().map(Exchange::messages).orElse(List.of());
        boolean seen = !messages.isEmpty()
                && discretion.isTheirs(messages.get(messages.size() - 1).to());
        return new TriedRule(
                tried.rule().id().value(),
                tried.rule().name(),
                tried.exchange().map(Exchange::how),
                tried.exchange().map(Exchange::among),
                messages.stream()
                        .map(passed -> PassedView.of(passed, discretion))
                        .toList(),
                tried.exchange()
                        .flatMap(Exchange::endedBy)
                        .filter(ended -> seen)
                        .map(ended -> ended.statement()),
                findings.stream()
                        .filter(finding -> finding.rule().equals(tried.rule().id()))
                        .findFirst()
                        .map(TriedRule::finding));
    }

    private static LoopFinding finding(Finding found) {
        return new LoopFinding(
                found.cause(),
                found.remedy().map(Finding.Remedy::what),
                found.remedy().map(remedy -> RuleBookJson.write(remedy.book())));
    }
}
