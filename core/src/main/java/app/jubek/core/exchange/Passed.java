package app.jubek.core.exchange;

import app.jubek.core.address.MailAddress;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.StepKind;

/** One message of an exchange, on its way from one to another. */
public record Passed(MailAddress from, MailAddress to, String subject, By by) {

    /** What made it. */
    public sealed interface By {
        /** With it the exchange began. */
        record Sender() implements By {}

        /** A rule of a mailbox here. */
        record OfRule(MailAddress mailbox, RuleId rule, String name, StepKind kind) implements By {}

        /** Whoever answered. */
        record Answered() implements By {}
    }

    boolean isBy(RuleId id) {
        return by instanceof By.OfRule rule && rule.rule().equals(id);
    }

    boolean isSentBy(MailAddress mailbox) {
        return by instanceof By.OfRule rule && rule.mailbox().sameAs(mailbox);
    }
}
