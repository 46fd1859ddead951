package app.jubek.server.rulebook;

import app.jubek.core.rule.RuleId;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "rule_switch")
class RuleSwitchEntity {
    @EmbeddedId
    private Key key;

    private Instant onSince;

    protected RuleSwitchEntity() {}

    RuleSwitchEntity(UUID mailbox, RuleId rule, Instant onSince) {
        this.key = new Key(mailbox, rule.value());
        this.onSince = onSince;
    }

    @Embeddable
    record Key(UUID mailboxId, String ruleId) {}

    RuleId rule() {
        return new RuleId(key.ruleId());
    }

    Instant onSince() {
        return onSince;
    }
}
