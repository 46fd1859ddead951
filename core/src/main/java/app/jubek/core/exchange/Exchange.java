package app.jubek.core.exchange;

import app.jubek.core.address.MailAddress;
import app.jubek.core.plan.NotDone;
import app.jubek.core.rule.RuleId;
import java.util.List;
import java.util.Optional;

/**
 * What one message led to.
 *
 * @param among how those who are not here answered
 * @param messages the way that goes round, from the first message on; of one without end its beginning
 * @param endedBy what kept the last of them from being sent on
 */
public record Exchange(Correspondent among, How how, List<Passed> messages, Optional<NotDone> endedBy) {
    /** The first message, and what was sent because of it alone. */
    private static final int CAUSED = 2;

    /** How it went, the worst first. */
    public enum How {
        /** It still went on when it was broken off. */
        ENDLESS,
        /** It came back and was sent on again, until something of ours ended it. */
        WENT_ROUND,
        /** It came back, and was not sent on again. */
        CAME_BACK,
        /** Nothing came back that a rule would have sent on. */
        QUIET;

        public boolean goesRound() {
            return this == ENDLESS || this == WENT_ROUND;
        }
    }

    public Exchange {
        messages = List.copyOf(messages);
    }

    static Exchange quiet(Correspondent among) {
        return new Exchange(among, How.QUIET, List.of(), Optional.empty());
    }

    /** Whether a rule sent something because of what was sent before, or would have. */
    boolean isKeptGoingBy(RuleId rule) {
        return messages.stream().skip(CAUSED).anyMatch(passed -> passed.isBy(rule))
                || endedBy.filter(not -> not.planned().rule().equals(rule)).isPresent();
    }

    /** Everybody elsewhere whose answers are on the way, of those whom a mailbox sent mail itself. */
    public List<MailAddress> answering(MailAddress mailbox) {
        return messages.stream()
                .filter(passed -> passed.by() instanceof Passed.By.Answered)
                .map(Passed::from)
                .filter(from -> messages.stream()
                        .anyMatch(passed ->
                                passed.isSentBy(mailbox) && passed.to().sameAs(from)))
                .distinct()
                .toList();
    }

    /** Why a mailbox did not send the last of them on; empty where it is another that did not. */
    public Optional<NotDone> endedAt(MailAddress mailbox) {
        boolean there =
                !messages.isEmpty() && messages.get(messages.size() - 1).to().sameAs(mailbox);
        return endedBy.filter(not -> there);
    }
}
