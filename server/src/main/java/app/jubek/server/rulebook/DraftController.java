package app.jubek.server.rulebook;

import app.jubek.core.rule.RuleId;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.platform.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Rules that a person is making and has not saved, kept so that they go on in any browser. Nobody else sees them. */
@RestController
class DraftController {
    private static final int LONGEST = 256 * 1024;
    private static final int MOST = 50;

    private final DraftRepository kept;
    private final Clock clock;
    private final JsonMapper json;

    DraftController(DraftRepository kept, Clock clock, JsonMapper json) {
        this.kept = kept;
        this.clock = clock;
        this.json = json;
    }

    record DraftsView(List<DraftView> drafts) {}

    /**
     * @param document as the page wrote it
     */
    record DraftView(String rule, JsonNode document, Instant savedAt) {}

    record DraftSaving(JsonNode document) {}

    @GetMapping("/api/mailboxes/{mailbox}/drafts")
    DraftsView drafts(@AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox) {
        return new DraftsView(kept.latest(who.id(), mailbox, Limit.of(MOST)).stream()
                .map(draft -> new DraftView(draft.rule(), json.readTree(draft.document()), draft.savedAt()))
                .toList());
    }

    @PutMapping("/api/mailboxes/{mailbox}/drafts/{rule}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void save(
            @AuthenticationPrincipal SignedIn who,
            @Allowed UUID mailbox,
            @PathVariable String rule,
            @RequestBody DraftSaving saving) {
        String document = saving.document().toString();
        if (document.length() > LONGEST) {
            throw Refused.invalid("This draft is too large to keep: take values out of it.", List.of());
        }
        kept.keep(who.id(), mailbox, new RuleId(rule).value(), document, clock.instant());
    }

    @DeleteMapping("/api/mailboxes/{mailbox}/drafts/{rule}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, @PathVariable String rule) {
        kept.drop(who.id(), mailbox, rule);
    }
}
