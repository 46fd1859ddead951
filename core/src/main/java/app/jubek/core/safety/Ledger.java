package app.jubek.core.safety;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.plan.Reason;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.Manner;
import app.jubek.core.step.Often;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Automatic answers that the writer of one message has had from one mailbox. */
public record Ledger(List<Entry> entries) {
    /** Over all rules together, within 24 hours. */
    public static final int ANSWERS_A_DAY = 3;

    private static final Duration DAY = Duration.ofDays(1);

    public Ledger {
        entries = List.copyOf(entries);
    }

    /**
     * One automatic answer, or one that is under way.
     *
     * @param key what it counts for: the rule, or the name that several rules share
     * @param writers addresses by which its writer is known, as they are compared
     */
    public record Entry(String key, Set<String> writers, Instant at) {
        public Entry {
            writers = Set.copyOf(writers);
        }
    }

    /** Under which key an answer of a rule counts. */
    public static String key(RuleId rule, Manner manner) {
        return manner.key().orElse(rule.value());
    }

    /** By which addresses the one who gets an answer is known, as they are compared. */
    public static Set<String> writers(ReadMessage message, AnswersTo to) {
        Stream<MailAddress> writers = to instanceof AnswersTo.InText
                ? Stream.empty()
                : Stream.concat(message.writer().stream(), message.returnPath().address().stream());
        return Stream.concat(writers, to.in(message).stream())
                .map(MailAddress::key)
                .collect(Collectors.toSet());
    }

    public static Ledger empty() {
        return new Ledger(List.of());
    }

    /** What stands against one more answer under this key to somebody known by these addresses. */
    public Optional<Refusal> against(String key, Often often, Set<String> writers, Instant now) {
        List<Entry> theirs = entries.stream()
                .filter(e -> e.writers().stream().anyMatch(writers::contains))
                .toList();
        long before = theirs.stream()
                .filter(e -> e.key().equals(key) && e.at().isAfter(now.minus(often.within())))
                .count();
        if (before >= often.times()) {
            return Optional.of(Refusal.of(Reason.ANSWERED_BEFORE, "it goes " + often.inWords()));
        }
        long today = theirs.stream().filter(e -> e.at().isAfter(now.minus(DAY))).count();
        return today >= ANSWERS_A_DAY ? Optional.of(Refusal.of(Reason.ANSWERS_A_DAY)) : Optional.empty();
    }
}
