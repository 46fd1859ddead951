package app.jubek.core.safety;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.Refusal;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.ReplyOptions;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Automatic answers that the sender of one message has had from one mailbox. */
public record ReplyHistory(List<Entry> entries) {
    /** Over all rules together, within 24 hours. */
    public static final int ANSWERS_A_DAY = 3;

    private static final Duration DAY = Duration.ofDays(1);

    public ReplyHistory {
        entries = List.copyOf(entries);
    }

    /**
     * One automatic answer, or one that is under way.
     *
     * @param key what it counts for: the rule, or the name that several rules share
     * @param senders addresses by which its sender is known, as they are compared
     */
    public record Entry(String key, Set<String> senders, Instant at) {
        public Entry {
            senders = Set.copyOf(senders);
        }
    }

    /** Under which key an answer of a rule counts. */
    public static String key(RuleId rule, ReplyOptions options) {
        return options.key().orElse(rule.value());
    }

    /** By which addresses the one who gets an answer is known, as they are compared. */
    public static Set<String> senders(ReadMessage message, AnswersTo to) {
        Stream<MailAddress> senders = to instanceof AnswersTo.InText
                ? Stream.empty()
                : Stream.concat(message.sender().stream(), message.returnPath().address().stream());
        return Stream.concat(senders, to.in(message).stream())
                .map(MailAddress::key)
                .collect(Collectors.toSet());
    }

    public static ReplyHistory empty() {
        return new ReplyHistory(List.of());
    }

    /** What stands against one more answer under this key to somebody known by these addresses. */
    public Optional<Refusal> against(String key, ReplyFrequency frequency, Set<String> senders, Instant now) {
        List<Entry> theirs = entries.stream()
                .filter(e -> e.senders().stream().anyMatch(senders::contains))
                .toList();
        long before = theirs.stream()
                .filter(e -> e.key().equals(key) && e.at().isAfter(now.minus(frequency.within())))
                .count();
        if (before >= frequency.times()) {
            return Optional.of(Refusal.of(Reason.ANSWERED_BEFORE, frequency.statement()));
        }
        long today = theirs.stream().filter(e -> e.at().isAfter(now.minus(DAY))).count();
        return today >= ANSWERS_A_DAY ? Optional.of(Refusal.of(Reason.ANSWERS_A_DAY)) : Optional.empty();
    }
}
