package app.jubek.server.delivery;

import app.jubek.core.message.ByteSource;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
import app.jubek.core.safety.Cleared;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.step.Step;
import app.jubek.core.step.TargetFolder;
import app.jubek.server.folders.CrossMailboxMove;
import app.jubek.server.folders.ImapRefused;
import app.jubek.server.folders.ImapSteps;
import app.jubek.server.folders.StepTrace;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.ServerTrouble;
import app.jubek.server.mailbox.SpecialUse;
import app.jubek.server.notice.Notices;
import app.jubek.server.outgoing.FrozenMail;
import app.jubek.server.platform.Border;
import app.jubek.server.queue.Claims;
import app.jubek.server.smtp.NullSenderRefused;
import app.jubek.server.smtp.SmtpFault;
import app.jubek.server.smtp.SmtpSessions;
import app.jubek.server.step.Claim;
import app.jubek.server.undo.Undo;
import jakarta.mail.MessagingException;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Carries out one claimed step and notes how it went. */
@Component
class Worker {
    private static final Logger LOG = LoggerFactory.getLogger(Worker.class);

    private final Claims claims;
    private final ImapSteps imap;
    private final CrossMailboxMove elsewhere;
    private final Undo undo;
    private final FrozenMail frozen;
    private final SmtpSessions sessions;
    private final Notices notices;

    Worker(
            Claims claims,
            ImapSteps imap,
            CrossMailboxMove elsewhere,
            Undo undo,
            FrozenMail frozen,
            SmtpSessions sessions,
            Notices notices) {
        this.claims = claims;
        this.imap = imap;
        this.elsewhere = elsewhere;
        this.undo = undo;
        this.frozen = frozen;
        this.sessions = sessions;
        this.notices = notices;
    }

    /** Returns whether there may be more to do at once. */
    boolean work() {
        Claims.Found found = claims.next();
        if (found instanceof Claims.Found.Due due) {
            carryOut(due.claim());
        }
        return !(found instanceof Claims.Found.Idle);
    }

    private void carryOut(Claim claim) {
        Border.around(() -> tryToCarryOut(claim)).ifPresent(failure -> broke(claim, failure));
        claims.finished(claim);
    }

    /** Whatever it is, it is no reason to stop working. */
    private void broke(Claim claim, Border.Failure failure) {
        LOG.error("step {} broke: {}", claim.step(), failure.trace());
        Trouble trouble = Trouble.of(Failure.STEP_BROKE.with(failure.words()));
        Border.around(() -> claims.retryOrFail(claim, trouble))
                .ifPresent(again -> LOG.warn("and that can't be noted: {}", again.words()));
    }

    private void tryToCarryOut(Claim claim) {
        try {
            if (claim.cleared().isPresent()) {
                send(claim.cleared().get(), claim);
            } else {
                inMailbox(claim);
            }
            claims.done(claim);
        } catch (SmtpFault fault) {
            noteFault(claim, fault);
        } catch (ImapSteps.Needless needless) {
            claims.needless(claim, needless.why());
        } catch (ImapRefused refused) {
            if (refused.isForNow()) {
                claims.retryOrFail(claim, refused.trouble());
            } else {
                claims.fail(claim, refused.trouble());
            }
        } catch (IOException broken) {
            claims.retryOrFail(claim, ServerTrouble.of(broken, claim.mailbox().smtp()));
        } catch (MessagingException broken) {
            claims.retryOrFail(claim, ServerTrouble.of(broken, claim.mailbox().imap()));
        }
    }

    private void noteFault(Claim claim, SmtpFault fault) {
        switch (fault.kind()) {
            case TEMPORARY -> claims.retryOrFail(claim, fault.trouble());
            case PERMANENT -> claims.fail(claim, fault.trouble());
            case UNKNOWN -> claims.unknown(claim);
            default -> throw new IllegalStateException("no such fault");
        }
    }

    private void send(Cleared cleared, Claim claim) throws IOException, SmtpFault {
        Outgoing outgoing = cleared.outgoing();
        String sender = outgoing.envelopeSender().map(a -> a.address()).orElse("");
        String recipient = outgoing.recipient().address();
        ByteSource content = frozen.of(claim.step(), claim.kind(), claim.message());
        try {
            sessions.send(claim.mailbox(), sender, recipient, content);
        } catch (NullSenderRefused refused) {
            sessions.send(claim.mailbox(), claim.mailbox().own().identity().address(), recipient, content);
        }
    }

    private void inMailbox(Claim claim) throws MessagingException {
        Mailbox mailbox = claim.mailbox();
        long message = claim.message();
        StepTrace trace = undo.trace(claim.step());
        switch (claim.kind()) {
            case FOLLOW_UP -> imap.bringBackUnanswered(mailbox, message, claim.isRepeated());
            case BRING_BACK -> imap.bringBack(mailbox, message, claim.isRepeated());
            case MARK -> imap.mark(mailbox, message, (Step.Mark) asked(claim), trace);
            case OUT_OF_JUNK -> imap.outOfJunk(mailbox, message, claim.isRepeated(), trace);
            case COPY -> copy(claim, ((Step.Copy) asked(claim)).target(), trace);
            case FILE -> imap.file(mailbox, message, into(claim), claim.isRepeated(), trace);
            case FILE_ELSEWHERE -> elsewhere.file(mailbox, message, into(claim), claim.isRepeated());
            case ARCHIVE -> imap.file(mailbox, message, SpecialUse.ARCHIVE, claim.isRepeated(), trace);
            case TRASH -> imap.file(mailbox, message, SpecialUse.TRASH, claim.isRepeated(), trace);
            case UNDO -> undo.carryOut(claim);
            case DELETE -> imap.delete(mailbox, message, claim.isRepeated());
            case NOTIFY -> notices.show(mailbox.id(), message, claim.ruleName(), ((Step.Notify) asked(claim)).sound());
            default -> throw new IllegalStateException(claim.kind() + " is not done in the mailbox");
        }
    }

    private static Step asked(Claim claim) {
        return claim.asked().orElseThrow();
    }

    private static TargetFolder into(Claim claim) {
        return ((Step.File) asked(claim)).target();
    }

    private void copy(Claim claim, TargetFolder into, StepTrace trace) throws MessagingException {
        long message = claim.message();
        if (into.mailbox().isPresent()) {
            elsewhere.copy(claim.mailbox(), message, into);
        } else {
            imap.copy(claim.mailbox(), message, into, trace);
        }
    }
}
