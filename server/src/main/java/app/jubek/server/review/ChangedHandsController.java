package app.jubek.server.review;

import app.jubek.core.rehearsal.ChangesHands;
import app.jubek.core.rule.Rule;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.pastmail.PastMail;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Which past messages would change hands if other rules took the place of those of today. */
@RestController
class ChangedHandsController {
    private static final int EXAMPLES = 5;

    private final PastMail pastMail;

    ChangedHandsController(PastMail pastMail) {
        this.pastMail = pastMail;
    }

    record ChangedHandsAsked(
            @Schema(ref = "#/components/schemas/RuleBook") JsonNode document, int days) {}

    record ChangedHandsView(int messages, int changed, List<ChangeView> examples) {}

    /**
     * @param before names of the rules that act on the message now
     * @param after and of those that would
     */
    record ChangeView(PastMail.Line message, List<String> before, List<String> after) {}

    @PostMapping("/api/mailboxes/{mailbox}/changed-hands")
    ChangedHandsView changedHands(@Allowed UUID mailbox, @RequestBody ChangedHandsAsked asked) {
        PastMail.Window window = pastMail.window(mailbox, asked.days());
        ChangesHands changes = ChangesHands.between(
                window.book(),
                RuleBookJson.read(asked.document()),
                window.past(),
                window.mailbox().opening());
        List<ChangeView> examples = changes.changes().stream()
                .limit(EXAMPLES)
                .map(change -> new ChangeView(
                        PastMail.Line.of(window.past().message(change.at())),
                        change.before().stream().map(Rule::name).toList(),
                        change.after().stream().map(Rule::name).toList()))
                .toList();
        return new ChangedHandsView(window.past().size(), changes.changes().size(), examples);
    }
}
