package app.jubek.server.rehearsal;

import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.platform.Refused;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Rules that were rehearsed, kept with a name. */
@RestController
class KeptRehearsalController {
    private static final int MOST = 50;
    private static final int LONGEST_NAME = 200;

    private final KeptRehearsalRepository kept;
    private final JsonMapper json;
    private final Clock clock;

    KeptRehearsalController(KeptRehearsalRepository kept, JsonMapper json, Clock clock) {
        this.kept = kept;
        this.json = json;
        this.clock = clock;
    }

    /**
     * @param messages that were looked at
     * @param changing how many of them changed hands
     */
    record KeptLine(String id, String name, int days, int messages, int changing, Instant madeAt, String madeBy) {}

    @GetMapping("/api/mailboxes/{mailbox}/rehearsals/kept")
    List<KeptLine> keptRehearsals(@Allowed UUID mailbox) {
        return kept.of(mailbox).stream().map(KeptRehearsalEntity::line).toList();
    }

    record RehearsalKeeping(
            String name,
            @Schema(ref = "#/components/schemas/RuleBook") JsonNode document,
            int days,
            int messages,
            int changing) {}

    @PostMapping("/api/mailboxes/{mailbox}/rehearsals/kept")
    KeptLine keepRehearsal(
            @AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, @RequestBody RehearsalKeeping keeping) {
        if (keeping.name().isBlank() || keeping.name().length() > LONGEST_NAME) {
            throw Refused.invalid("Give it a name of at most " + LONGEST_NAME + " characters.", List.of());
        }
        if (kept.countByMailboxId(mailbox) >= MOST) {
            throw Refused.conflict(
                    "This mailbox keeps " + MOST + " rehearsals, the most that may be: remove one that is done with.",
                    Map.of());
        }
        RuleBookJson.read(keeping.document());
        return kept.save(new KeptRehearsalEntity(mailbox, keeping, clock.instant(), who.shownName()))
                .line();
    }

    /**
     * @param document the rules that were rehearsed
     */
    record KeptRehearsal(
            KeptLine line,
            @Schema(ref = "#/components/schemas/RuleBook") JsonNode document) {}

    @GetMapping("/api/mailboxes/{mailbox}/rehearsals/kept/{rehearsal}")
    KeptRehearsal keptRehearsal(@Allowed UUID mailbox, @PathVariable UUID rehearsal) {
        KeptRehearsalEntity found =
                kept.findByIdAndMailboxId(rehearsal, mailbox).orElseThrow(Refused::notFound);
        return new KeptRehearsal(found.line(), json.readTree(found.document()));
    }

    @DeleteMapping("/api/mailboxes/{mailbox}/rehearsals/kept/{rehearsal}")
    void removeRehearsal(@Allowed UUID mailbox, @PathVariable UUID rehearsal) {
        kept.delete(kept.findByIdAndMailboxId(rehearsal, mailbox).orElseThrow(Refused::notFound));
    }
}
