package app.jubek.server.queue;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.Composed;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.outgoing.DocumentContents;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Sending;
import app.jubek.core.plan.StepNote;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.HopMark;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepState;
import app.jubek.core.template.Letter;
import app.jubek.core.text.Limits;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.content.StepContent;
import app.jubek.server.folders.StoredMail;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.InstallationKeys;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Component;

/** Plans a forward in the place of a redirect that can't leave as it is: to the same recipient, by the same rule. */
@Component
class ForwardInstead {
    private final StepRepository steps;
    private final StepContent bytes;
    private final StoredMail mail;
    private final Mailboxes mailboxes;
    private final InstallationKeys keys;
    private final Clock clock;
    private final MessageReading reading = new MessageReading(Limits.standard());

    ForwardInstead(
            StepRepository steps,
            StepContent bytes,
            StoredMail mail,
            Mailboxes mailboxes,
            InstallationKeys keys,
            Clock clock) {
        this.steps = steps;
        this.bytes = bytes;
        this.mail = mail;
        this.mailboxes = mailboxes;
        this.keys = keys;
        this.clock = clock;
    }

    void plan(StepEntity redirect) {
        Mailbox mailbox = mailboxes.find(redirect.mailboxId());
        Step.Forward forward = new Step.Forward(List.of(MailAddress.of(redirect.recipient())), "");
        PlannedStep planned = new PlannedStep(
                        new RuleId(redirect.ruleId()),
                        redirect.ruleVersion(),
                        redirect.ruleName(),
                        redirect.ordinal(),
                        forward)
                .with(new Sending(
                        Letter.none(),
                        MailAddress.of(redirect.recipient()),
                        mailbox.own().identity(),
                        false));
        Composer composer =
                new Composer(mailbox.own(), new HopMark(keys.key("hop-mark")), mailbox.zone(), DocumentContents.none());
        Composed composed = composer.compose(planned, original(redirect.messageId()), clock.instant());
        String sender =
                composed.outgoing().envelopeSender().map(MailAddress::address).orElse("");
        StepEntity entity = new StepEntity(
                        redirect.mailboxId(),
                        redirect.messageId(),
                        Work.FORWARD,
                        redirect.position(),
                        RuleBookJson.write(forward).toString(),
                        clock.instant())
                .by(redirect.ruleId(), redirect.ruleVersion(), redirect.ruleName(), redirect.ordinal())
                .leaving(redirect.recipient(), sender, composed.messageId());
        entity.become(StepState.READY, StepNote.IN_PLACE_OF_REDIRECT.with());
        steps.saveAndFlush(entity);
        bytes.store(entity.id(), ByteSource.of(composed.bytes()));
    }

    private Composer.Original original(long message) {
        ByteSource stored = mail.bytes(message);
        try (InputStream in = stored.open()) {
            ReadMessage read = reading.read(in);
            return new Composer.Original(read, stored, mail.find(message).digest());
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
