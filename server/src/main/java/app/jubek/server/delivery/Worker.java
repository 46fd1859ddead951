package app.jubek.server.delivery;

import app.jubek.core.safety.Cleared;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.step.Step;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import jakarta.mail.MessagingException;
import java.io.IOException;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Carries out one claimed step and notes how it went. */
@Component
class Worker {
    private static final Logger LOG = LoggerFactory.getLogger(Worker.class);

    private final Claims claims;
    private final ImapSteps imap;
    private final StoredMail mail;
    private final Mailboxes mailboxes;

    Worker(Claims claims, ImapSteps imap, StoredMail mail, Mailboxes mailboxes) {
        this.claims = claims;
        this.imap = imap;
        this.mail = mail;
        this.mailboxes = mailboxes;
    }

    /** Returns whether there may be more to do at once. */
    boolean work() {
        Claims.Found found = claims.next();
        if (found instanceof Claims.Found.Work work) {
            carryOut(work.claim());
        }
        return !(found instanceof Claims.Found.Idle);
    }

    private void carryOut(Claims.Claim claim) {
        StepEntity step = claim.step();
        try {
            if (claim.cleared().isPresent()) {
                send(claim.cleared().get(), step, claim.mailbox());
            } else {
                inMailbox(step, claim.mailbox());
            }
            claims.done(step.id());
        } catch (SmtpFault fault) {
            noteFault(step, fault);
        } catch (ImapSteps.Gone gone) {
            claims.fail(step.id(), String.valueOf(gone.getMessage()));
        } catch (IOException | MessagingException broken) {
            claims.retryOrFail(step.id(), "the mail server can't be reached: " + broken.getMessage());
        } catch (RuntimeException unexpected) {
            LOG.error("step {} broke", step.id(), unexpected);
            claims.retryOrFail(step.id(), "Jubek failed at it: " + unexpected.getMessage());
        }
    }

    private void noteFault(StepEntity step, SmtpFault fault) {
        String cause = String.valueOf(fault.getMessage());
        switch (fault.kind()) {
            case TEMPORARY -> claims.retryOrFail(step.id(), cause);
            case PERMANENT -> claims.fail(step.id(), cause);
            case UNKNOWN -> claims.unknown(step.id());
            default -> throw new IllegalStateException("no such fault");
        }
    }

    private void send(Cleared cleared, StepEntity step, Mailbox mailbox) throws IOException, SmtpFault {
        Outgoing outgoing = cleared.outgoing();
        String sender = outgoing.envelopeSender().map(a -> a.address()).orElse("");
        String recipient = outgoing.recipient().address();
        List<byte[]> octets = octets(step);
        try {
            send(mailbox, sender, recipient, octets);
        } catch (NullSenderRefused refused) {
            send(mailbox, mailbox.own().identity().address(), recipient, octets);
        }
    }

    private void send(Mailbox mailbox, String sender, String recipient, List<byte[]> octets)
            throws IOException, SmtpFault {
        String password = mailboxes.password(mailbox.id());
        try (SmtpSession session = SmtpSession.open(mailbox.smtp(), mailbox.user(), password)) {
            session.send(sender, recipient, octets);
        }
    }

    private List<byte[]> octets(StepEntity step) {
        return step.kind() == Work.REDIRECT
                ? List.of(
                        step.octets(),
                        app.jubek.core.message.TraceFields.withoutReturnPath(mail.octets(step.messageId())))
                : List.of(step.octets());
    }

    private void inMailbox(StepEntity step, Mailbox mailbox) throws MessagingException {
        if (step.kind() == Work.BRING_BACK) {
            imap.bringBack(mailbox, step.messageId());
        } else if (StepDetail.step(step) instanceof Step.Mark mark) {
            imap.mark(mailbox, step.messageId(), mark);
        } else if (StepDetail.step(step) instanceof Step.File file) {
            imap.file(mailbox, step.messageId(), file);
        }
    }
}
