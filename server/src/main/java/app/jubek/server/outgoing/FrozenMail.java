package app.jubek.server.outgoing;

import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.Redirected;
import app.jubek.server.content.StepContent;
import app.jubek.server.folders.StoredMail;
import app.jubek.server.platform.Refused;
import app.jubek.server.step.Work;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What left or is to leave, byte for byte as it was frozen when it was planned. */
@Service
public class FrozenMail {
    private final StepContent bytes;
    private final StoredMail mail;

    FrozenMail(StepContent bytes, StoredMail mail) {
        this.bytes = bytes;
        this.mail = mail;
    }

    /**
     * @param message what the step is about
     * @throws Refused as not found, when the step sends nothing, or its bytes were cleared away for their age
     */
    public ByteSource of(UUID step, Work kind, long message) {
        if (!bytes.has(step)) {
            throw Refused.notFound();
        }
        ByteSource frozen = bytes.of(step);
        return kind == Work.REDIRECT ? new Redirected(frozen, mail.bytes(message)) : frozen;
    }
}
