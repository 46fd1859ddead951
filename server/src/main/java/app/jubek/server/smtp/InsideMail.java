package app.jubek.server.smtp;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.OwnLetter;
import app.jubek.core.safety.Clearance;
import app.jubek.core.safety.Cleared;
import app.jubek.core.safety.Outgoing;
import app.jubek.server.mailbox.Mailbox;
import java.io.IOException;
import java.time.Instant;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Sends what Jubek tells people of the organisation by itself, from the mailbox that it is about. */
@Component
public class InsideMail {
    private static final Logger LOG = LoggerFactory.getLogger(InsideMail.class);

    private final SmtpSessions sessions;

    InsideMail(SmtpSessions sessions) {
        this.sessions = sessions;
    }

    /** What became of a letter. */
    public enum Outcome {
        /** Handed over; or maybe so, where the connection broke after the final dot: it is not sent twice. */
        SENT,
        /** It may well be taken later. */
        NOT_NOW,
        /** It is refused for good, or its recipient lies outside by now, when a domain is ours no more. */
        REFUSED
    }

    /**
     * Outside any transaction: it talks with the mail server.
     *
     * @param messageId with angle brackets
     */
    public Outcome send(Mailbox mailbox, MailAddress to, OwnLetter letter, String messageId, Instant now) {
        MailAddress from = mailbox.own().identity();
        Optional<Cleared> cleared = Clearance.look(new Outgoing.Inside(to, Optional.of(from)), mailbox.own());
        if (cleared.isEmpty()) {
            LOG.warn("what Jubek tells goes to own domains only, and {} lies outside", to.address());
            return Outcome.REFUSED;
        }
        byte[] bytes = letter.bytes(from, to, messageId, now.atZone(mailbox.zone()));
        try {
            String recipient = cleared.get().outgoing().recipient().address();
            sessions.send(mailbox, from.address(), recipient, ByteSource.of(bytes));
            return Outcome.SENT;
        } catch (IOException broken) {
            LOG.warn("a letter to {} did not leave: {}", to.address(), broken.toString());
            return Outcome.NOT_NOW;
        } catch (SmtpFault refused) {
            LOG.warn("a letter to {} did not leave: {}", to.address(), refused.toString());
            return switch (refused.kind()) {
                case TEMPORARY -> Outcome.NOT_NOW;
                case PERMANENT -> Outcome.REFUSED;
                case UNKNOWN -> Outcome.SENT;
            };
        }
    }
}
