package app.jubek.server.queue;

import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.EditedAnswer;
import app.jubek.server.content.StepContent;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.step.Work;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Answers that are written anew before they go out. */
@Component
class StepEdits {
    private final StepRepository steps;
    private final StepContent bytes;
    private final Mailboxes mailboxes;

    StepEdits(StepRepository steps, StepContent bytes, Mailboxes mailboxes) {
        this.steps = steps;
        this.bytes = bytes;
        this.mailboxes = mailboxes;
    }

    void edit(StepEntity answer, EditedAnswer words) {
        if (!answer.standing(false).mayBeEdited() || answer.isEdited() && !words.isByPerson()) {
            throw Refused.conflict("It can’t be changed any more: it no longer waits for a person.", Map.of());
        }
        byte[] frozen = bytes.of(answer.id()).all();
        bytes.replace(answer.id(), ByteSource.of(words.in(frozen)));
        if (words.isByPerson()) {
            answer.edit(mailboxes.find(answer.mailboxId()).own().identity().address());
            steps.saveAndFlush(answer);
        }
        steps.ofMessages(answer.mailboxId(), List.of(answer.messageId())).stream()
                .filter(copy -> copy.kind() == Work.ANSWER_COPY && copy.isOf(answer))
                .forEach(copy -> bytes.replace(
                        copy.id(),
                        ByteSource.of(words.inCopy(bytes.of(copy.id()).all()))));
    }
}
