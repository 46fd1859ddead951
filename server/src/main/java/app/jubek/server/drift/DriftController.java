package app.jubek.server.drift;

import app.jubek.core.drift.Drift;
import app.jubek.core.wording.Statement;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.rulebook.RuleBooks;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** How the mail of rules changed. */
@RestController
class DriftController {
    private final KeptDrifts kept;
    private final RuleBooks books;
    private final Messages messages;

    DriftController(KeptDrifts kept, RuleBooks books, Messages messages) {
        this.kept = kept;
        this.books = books;
        this.messages = messages;
    }

    /**
     * @param effect what the changed rule would do
     * @param changed the rule with the criterion that answers the change
     * @param messages the latest that show it, the newest first
     */
    record DriftView(
            UUID id,
            String rule,
            Drift.Sort sort,
            Statement cause,
            Statement effect,
            @Schema(ref = "#/components/schemas/Rule") JsonNode changed,
            List<MessageLine> messages) {}

    @GetMapping("/api/mailboxes/{mailbox}/drifts")
    List<DriftView> drifts(@Allowed UUID mailbox) {
        List<DriftEntity> open = kept.open(mailbox, books.current(mailbox).book());
        Map<Long, MessageLine> lines = messages.lines(
                mailbox,
                open.stream()
                        .flatMap(each -> each.messages().stream())
                        .distinct()
                        .toList());
        return open.stream().map(each -> view(each, lines)).toList();
    }

    private static DriftView view(DriftEntity each, Map<Long, MessageLine> lines) {
        return new DriftView(
                each.id(),
                each.rule().value(),
                each.sort(),
                each.cause(),
                each.effect(),
                each.changed(),
                each.messages().stream()
                        .map(lines::get)
                        .filter(Objects::nonNull)
                        .toList());
    }

    /** It is not told again. */
    @PostMapping("/api/mailboxes/{mailbox}/drifts/{drift}/dismiss")
    void dismissDrift(@AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, @PathVariable UUID drift) {
        kept.dismiss(mailbox, drift, who.shownName());
    }
}
