package app.jubek.server.rulebook;

import app.jubek.core.rule.RuleId;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.platform.Refused;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
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

    private final JdbcClient jdbc;
    private final MailboxAccess access;
    private final Clock clock;
    private final JsonMapper json;

    DraftController(JdbcClient jdbc, MailboxAccess access, Clock clock, JsonMapper json) {
        this.jdbc = jdbc;
        this.access = access;
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
    DraftsView drafts(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox) {
        access.check(who, mailbox);
        return new DraftsView(jdbc.sql("select rule_id, document, saved_at from draft"
                        + " where account_id = ? and mailbox_id = ? order by saved_at desc limit ?")
                .params(who.id(), mailbox, MOST)
                .query((row, n) -> new DraftView(
                        row.getString(1),
                        json.readTree(row.getString(2)),
                        row.getTimestamp(3).toInstant()))
                .list());
    }

    @PutMapping("/api/mailboxes/{mailbox}/drafts/{rule}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void save(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @PathVariable String rule,
            @RequestBody DraftSaving saving) {
        access.check(who, mailbox);
        String document = saving.document().toString();
        if (document.length() > LONGEST) {
            throw Refused.invalid("This draft is too large to keep: take values out of it.", List.of());
        }
        jdbc.sql("insert into draft (account_id, mailbox_id, rule_id, document, saved_at)"
                        + " values (?, ?, ?, ?::jsonb, ?) on conflict (account_id, mailbox_id, rule_id)"
                        + " do update set document = excluded.document, saved_at = excluded.saved_at")
                .params(who.id(), mailbox, new RuleId(rule).value(), document, Timestamp.from(clock.instant()))
                .update();
    }

    @DeleteMapping("/api/mailboxes/{mailbox}/drafts/{rule}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @PathVariable String rule) {
        access.check(who, mailbox);
        jdbc.sql("delete from draft where account_id = ? and mailbox_id = ? and rule_id = ?")
                .params(who.id(), mailbox, rule)
                .update();
    }
}
