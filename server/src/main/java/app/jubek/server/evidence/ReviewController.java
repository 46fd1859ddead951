package app.jubek.server.evidence;

import app.jubek.core.review.Finding;
import app.jubek.core.review.Review;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.SignedIn;
import app.jubek.server.platform.Refused;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
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

    /**
     * @param remedy what one click would do about it
     */
    record FindingView(
            Finding.Sort sort, String rule, String cause, Optional<PastMail.Line> example, Optional<String> remedy) {}

    /** The rules as a remedy leaves them; nothing is saved. */
    record RemedyView(
            @Schema(ref = "#/components/schemas/RuleBook") JsonNode document) {}

    @GetMapping("/api/mailboxes/{mailbox}/review")
    ReviewView review(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @RequestParam(defaultValue = "90") int days) {
        PastMail.Window window = pastMail.window(who, mailbox, days);
        return new ReviewView(
                findings(window).map(finding -> view(finding, window)).toList());
    }

    /** Given only when it is asked for: each is a whole book. */
    @GetMapping("/api/mailboxes/{mailbox}/review/remedy")
    RemedyView remedy(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @RequestParam(defaultValue = "90") int days,
            @RequestParam(defaultValue = "") String rule,
            @RequestParam(defaultValue = "") String words) {
        return findings(pastMail.window(who, mailbox, days))
                .filter(finding -> finding.rule().value().equals(rule))
                .flatMap(finding -> finding.remedy().stream())
                .filter(remedy -> remedy.words().equals(words))
                .findFirst()
                .map(remedy -> new RemedyView(RuleBookJson.write(remedy.book())))
                .orElseThrow(Refused::notFound);
    }

    private static Stream<Finding> findings(PastMail.Window window) {
        return Review.of(window.book(), window.past(), window.mailbox().own()).stream();
    }

    private static FindingView view(Finding finding, PastMail.Window window) {
        return new FindingView(
                finding.sort(),
                finding.rule().value(),
                finding.cause(),
                finding.example().map(at -> PastMail.Line.of(window.past().message(at))),
                finding.remedy().map(Finding.Remedy::words));
    }
}
