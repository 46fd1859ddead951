package app.jubek.core.outgoing;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReturnPath;
import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Sending;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.template.Letter;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;

/** Makes the bytes of every outgoing step. The same input gives the same bytes. */
public final class Composer {
    private final OwnSide own;
    private final HopMark hops;
    private final ZoneId zone;
    private final DocumentContents documents;
    private final Optional<ForwardPage> page;
    private final boolean followedUp;

    /**
     * @param zone of the Date field
     * @param page of forwards; empty where nobody outside can open one
     */
    public Composer(OwnSide own, HopMark hops, ZoneId zone, DocumentContents documents, Optional<ForwardPage> page) {
        this(own, hops, zone, documents, page, false);
    }

    private Composer(
            OwnSide own,
            HopMark hops,
            ZoneId zone,
            DocumentContents documents,
            Optional<ForwardPage> page,
            boolean followedUp) {
        this.own = own;
        this.hops = hops;
        this.zone = zone;
        this.documents = documents;
        this.page = page;
        this.followedUp = followedUp;
    }

    /** The same, for a message that comes back unless somebody deals with it, where that is planned. */
    public Composer of(List<PlannedStep> planned) {
        boolean asked = planned.stream().anyMatch(step -> step.step().kind() == StepKind.FOLLOW_UP);
        return new Composer(own, hops, zone, documents, page, asked);
    }

    /**
     * The message a step answers or hands on.
     *
     * @param digest names the message: {@link app.jubek.core.reading.TraceFields#digestBelow}
     */
    public record Original(ReadMessage message, ByteSource bytes, String digest) {}

    /**
     * @throws IllegalArgumentException when nothing is to be sent
     */
    public Composed compose(PlannedStep planned, Original original, Instant now) {
        Sending sending = planned.sending()
                .orElseThrow(() -> new IllegalArgumentException(
                        "a step of the kind " + planned.step().kind() + " has nothing to send"));
        String id = OutgoingId.of(hops, own.identity(), original.digest(), planned, sending.to());
        Stamp stamp = new Stamp(sending.from(), sending.to(), id, now.atZone(zone));
        if (planned.step() instanceof Step.Forward forward) {
            String mark = hops.next(original.message(), own.identity());
            FootLine foot = new FootLine(page.map(at -> at.of(hops, id)), followedUp, !own.isInside(sending.to()));
            byte[] bytes = new ForwardedMessage(original, forward.options(), sending.letter(), mark, foot)
                    .bytes(stamp, documents);
            return new Composed(new Outgoing.HandedOn(sending.to(), Optional.of(own.identity())), id, bytes);
        }
        return planned.step() instanceof Step.Redirect
                ? redirect(stamp, original.message())
                : answer(stamp, sending, original.message());
    }

    private Composed redirect(Stamp stamp, ReadMessage message) {
        byte[] block = ResentBlock.bytes(stamp, hops.next(message, own.identity()));
        boolean nullPath = message.returnPath() instanceof ReturnPath.Null;
        Optional<MailAddress> sender = nullPath ? Optional.empty() : Optional.of(own.identity());
        return new Composed(new Outgoing.HandedOn(stamp.to(), sender), stamp.messageId(), block);
    }

    private Composed answer(Stamp stamp, Sending sending, ReadMessage answered) {
        Letter letter =
                sending.letter().under(Step.Reply.subject(sending.letter().subject(), answered.subject()));
        if (sending.isCopy()) {
            byte[] bytes = ReplyMessage.copy(stamp, letter, answered, documents);
            return new Composed(
                    new Outgoing.HandedOn(stamp.to(), Optional.of(own.identity())), stamp.messageId(), bytes);
        }
        byte[] bytes = ReplyMessage.bytes(stamp, letter, answered, documents);
        return new Composed(new Outgoing.Answer(stamp.to(), Optional.empty()), stamp.messageId(), bytes);
    }
}
