package app.jubek.core.safety;

import app.jubek.core.address.MailAddress;
import app.jubek.core.bounce.Bounce;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.Refusal;
import java.util.Optional;
import java.util.stream.Stream;

/** Keeps handed-on mail from going in circles. */
public final class LoopGuard {
    /** Jubek mailboxes a message may have passed. */
    public static final int MAX_HOPS = 5;

    /** Received fields above which a message counts as looping (RFC 5321 §6.3 asks for a limit of its own). */
    public static final int MAX_RECEIVED = 50;

    private final HopMark hops;

    public LoopGuard(HopMark hops) {
        this.hops = hops;
    }

    /** What stands against handing this message on at all. */
    public Optional<Refusal> againstHandingOn(ReadMessage message, OwnSide own) {
        if (hops.hasPassed(message, own.identity())) {
            return Optional.of(Refusal.of(Reason.LOOP));
        }
        int passed = hops.passed(message).size();
        if (passed >= MAX_HOPS) {
            return Optional.of(Refusal.of(Reason.TOO_MANY_HOPS, SafetyDetail.MAILBOXES.with(passed)));
        }
        int received = message.values("Received").size();
        if (received > MAX_RECEIVED) {
            return Optional.of(Refusal.of(Reason.TOO_MANY_HOPS, SafetyDetail.RECEIVED_FIELDS.with(received)));
        }
        return Optional.empty();
    }

    /** What stands against handing it on to this one address. */
    public Optional<Refusal> againstDestination(ReadMessage message, OwnSide own, MailAddress to) {
        if (own.isOwn(to)) {
            return Optional.of(Refusal.of(Reason.BACK_TO_MAILBOX, to.address()));
        }
        if (Bounce.of(message).filter(bounce -> bounce.isAbout(to.key())).isPresent()) {
            return Optional.of(Refusal.of(Reason.BOUNCED_FROM, to.address()));
        }
        boolean sender = senders(message).anyMatch(to::sameAs);
        return sender ? Optional.of(Refusal.of(Reason.BACK_TO_SENDER, to.address())) : Optional.empty();
    }

    private static Stream<MailAddress> senders(ReadMessage message) {
        Stream<MailAddress> written =
                Stream.of(Role.FROM, Role.SENDER, Role.REPLY_TO).flatMap(role -> message.in(role).stream());
        return Stream.concat(written, message.returnPath().address().stream());
    }
}
