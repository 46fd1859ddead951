package app.jubek.core.safety;

import app.jubek.core.plan.Reason;
import app.jubek.core.rule.RuleId;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Automatic answers that the writer of one message has had from one mailbox. */
public record Ledger(List<Entry> entries) {
    /** Over all rules together, within 24 hours. */
    public static final int ANSWERS_A_DAY = 3;

    private static final Duration DAY = Duration.ofDays(1);

    public Ledger {
        entries = List.copyOf(entries);
    }

    /** One automatic answer, or one that is under way. */
    public record Entry(RuleId rule, Instant at) {}

    public static Ledger empty() {
        return new Ledger(List.of());
    }

    /** What stands against one more answer by this rule at this time. */
    public Optional<Refusal> against(RuleId rule, Duration oncePer, Instant now) {
        boolean before = entries.stream().anyMatch(e -> e.rule().equals(rule) && e.at().isAfter(now.minus(oncePer)));
        if (before) {
            return Optional.of(Refusal.of(Reason.ANSWERED_BEFORE, "within " + oncePer.toDays() + " days"));
        }
        long today =
                entries.stream().filter(e -> e.at().isAfter(now.minus(DAY))).count();
        return today >= ANSWERS_A_DAY ? Optional.of(Refusal.of(Reason.ANSWERS_A_DAY)) : Optional.empty();
    }
}
