package app.jubek.server.review;

import app.jubek.core.review.Finding;
import app.jubek.core.review.Review;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.formats.statement.StatementJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.figures.WorkFigures;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import app.jubek.server.template.Templates;
import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What is amiss in the rules. */
@RestController
class ReviewController {
    private static final Duration LATELY = Duration.ofDays(30);

    private final PastMail pastMail;
    private final WorkFigures figures;
    private final Exchanges exchanges;
    private final Templates templates;

    ReviewController(PastMail pastMail, WorkFigures figures, Exchanges exchanges, Templates templates) {
        this.templates = templates;
        this.exchanges = exchanges;
        this.figures = figures;
        this.pastMail = pastMail;
    }

    record ReviewView(List<FindingView> findings) {}

    /**
     * @param id of this finding, as long as the rules stay as they are
     * @param remedy what one click would do about it
     */
    record FindingView(
            String id,
            Finding.Sort sort,
            String rule,
            Statement cause,
            Optional<PastMail.Line> example,
            Optional<Statement> remedy) {}

    /** The rules as a remedy leaves them; nothing is saved. */
    record RemedyView(
            @Schema(ref = "#/components/schemas/RuleBook") JsonNode document) {}

    @GetMapping("/api/mailboxes/{mailbox}/review")
    ReviewView review(@Allowed UUID mailbox, @RequestParam(defaultValue = "90") int days) {
        PastMail.Window window = pastMail.window(mailbox, days);
        return new ReviewView(
                findings(window).map(finding -> view(finding, window)).toList());
    }

    /** Given only when it is asked for: each is a whole book. */
    @GetMapping("/api/mailboxes/{mailbox}/review/{finding}/remedy")
    RemedyView remedy(
            @Allowed UUID mailbox, @PathVariable String finding, @RequestParam(defaultValue = "90") int days) {
        return findings(pastMail.window(mailbox, days))
                .filter(found -> id(found).equals(finding))
                .flatMap(found -> found.remedy().stream())
                .findFirst()
                .map(remedy -> new RemedyView(RuleBookJson.write(remedy.book())))
                .orElseThrow(Refused::notFound);
    }

    private Stream<Finding> findings(PastMail.Window window) {
        return Review.of(
                window.book(),
                window.past(),
                window.mailbox().own(),
                templates.of(window.mailbox().id()),
                window.mailbox().opening(),
                window.now(),
                figures.unanswered(window.mailbox().id(), window.now().minus(LATELY)),
                exchanges.ofToday(window.mailbox().id()))
                .stream();
    }

    /** Findings of one rule differ in what they are about. */
    private static String id(Finding finding) {
        String about = finding.sort() + " " + finding.rule().value() + " " + StatementJson.write(finding.cause());
        return UUID.nameUUIDFromBytes(about.getBytes(StandardCharsets.UTF_8)).toString();
    }

    private static FindingView view(Finding finding, PastMail.Window window) {
        return new FindingView(
                id(finding),
                finding.sort(),
                finding.rule().value(),
                finding.cause(),
                finding.example().map(at -> PastMail.Line.of(window.past().message(at))),
                finding.remedy().map(Finding.Remedy::what));
    }
}
