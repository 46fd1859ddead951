package app.jubek.server.queue;

import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.Redirected;
import app.jubek.server.content.StepContent;
import app.jubek.server.folders.StoredMail;
import app.jubek.server.platform.Refused;
import app.jubek.server.step.Work;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What left or is to leave, byte for byte as it was frozen when it was planned. */
@Service
public class FrozenMail {
    private final StepRepository steps;
    private final StepContent bytes;
    private final StoredMail mail;

    FrozenMail(StepRepository steps, StepContent bytes, StoredMail mail) {
        this.steps = steps;
        this.bytes = bytes;
        this.mail = mail;
    }

    /**
     * @throws Refused as not found, when the step sends nothing, or its bytes were cleared away for their age
     */
    @Transactional(readOnly = true)
    public ByteSource of(UUID mailbox, UUID step) {
        StepEntity found = steps.findByIdAndMailboxId(step, mailbox).orElseThrow(Refused::notFound);
        if (!bytes.has(step)) {
            throw Refused.notFound();
        }
        return of(found);
    }

    ByteSource of(StepEntity step) {
        ByteSource frozen = bytes.of(step.id());
        return step.kind() == Work.REDIRECT ? new Redirected(frozen, mail.bytes(step.messageId())) : frozen;
    }
}
