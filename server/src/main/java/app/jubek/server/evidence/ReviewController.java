package app.jubek.server.evidence;

import app.jubek.core.review.Finding;
import app.jubek.core.review.Review;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.SignedIn;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What is amiss in the rules. */
@RestController
class ReviewController {
    private final PastMail pastMail;

    ReviewController(PastMail pastMail) {
        this.pastMail = pastMail;
    }

    record ReviewView(List<FindingView> findings) {}

    record FindingView(
            Finding.Sort sort,
            String rule,
            String cause,
            Optional<PastMail.Line> example,
            Optional<RemedyView> remedy) {}

    record RemedyView(
            String words,
            @Schema(ref = "#/components/schemas/RuleBook") JsonNode document) {}

    @GetMapping("/api/mailboxes/{mailbox}/review")
    ReviewView review(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @RequestParam(defaultValue = "90") int days) {
        PastMail.Window window = pastMail.window(who, mailbox, days);
        List<FindingView> findings = Review.of(
                        window.book(), window.past(), window.mailbox().own())
                .stream()
                .map(finding -> view(finding, window))
                .toList();
        return new ReviewView(findings);
    }

    private static FindingView view(Finding finding, PastMail.Window window) {
        return new FindingView(
                finding.sort(),
                finding.rule().value(),
                finding.cause(),
                finding.example().map(at -> PastMail.Line.of(window.past().message(at))),
                finding.remedy().map(remedy -> new RemedyView(remedy.words(), RuleBookJson.write(remedy.book()))));
    }
}
