package app.jubek.server.delivery;

import app.jubek.core.message.Octets;
import app.jubek.core.outgoing.Redirected;
import app.jubek.server.platform.Refused;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What left or is to leave, octet for octet as it was frozen when it was planned. */
@Service
public class FrozenMail {
    private final StepRepository steps;
    private final StepOctets octets;
    private final StoredMail mail;

    FrozenMail(StepRepository steps, StepOctets octets, StoredMail mail) {
        this.steps = steps;
        this.octets = octets;
        this.mail = mail;
    }

    /**
     * @throws Refused as not found, when the step sends nothing, or its octets were cleared away for their age
     */
    @Transactional(readOnly = true)
    public Octets of(UUID mailbox, UUID step) {
        StepEntity found = steps.findByIdAndMailboxId(step, mailbox).orElseThrow(Refused::notFound);
        if (!octets.has(step)) {
            throw Refused.notFound();
        }
        return of(found);
    }

    Octets of(StepEntity step) {
        Octets frozen = octets.of(step.id());
        return step.kind() == Work.REDIRECT ? new Redirected(frozen, mail.octets(step.messageId())) : frozen;
    }
}
