package app.jubek.core.outgoing;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.Octets;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReturnPath;
import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.step.Step;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;

/** Makes the octets of every outgoing step. The same input gives the same octets. */
public final class Composer {
    private final OwnSide own;
    private final HopMark hops;
    private final ZoneId zone;

    public Composer(OwnSide own, HopMark hops, ZoneId zone) {
        this.own = own;
        this.hops = hops;
        this.zone = zone;
    }

    /**
     * The message a step answers or hands on.
     *
     * @param digest names the message: {@link app.jubek.core.message.TraceFields#digestBelow}
     */
    public record Original(ReadMessage message, Octets octets, String digest) {}

    /**
     * @throws IllegalArgumentException when the step is none that leaves, or there is nobody to answer
     */
    public Composed compose(PlannedStep planned, Original original, Instant now) {
        Step step = planned.step();
        if (step instanceof Step.Forward forward) {
            return forward(planned, forward, original, now);
        }
        if (step instanceof Step.Redirect redirect) {
            return redirect(planned, redirect, original, now);
        }
        if (step instanceof Step.Reply reply) {
            return reply(planned, reply, original, now);
        }
        throw new IllegalArgumentException("a step that is to be " + step.done() + " sends nothing");
    }

    private Composed forward(PlannedStep planned, Step.Forward step, Original original, Instant now) {
        MailAddress to = step.to().get(0);
        String id = OutgoingId.of(own.identity(), original.digest(), planned, to);
        Stamp stamp = new Stamp(own.identity(), to, id, now.atZone(zone));
        String mark = hops.next(original.message(), own.identity());
        byte[] octets = new ForwardedMessage(original, step.note(), mark).octets(stamp);
        return new Composed(new Outgoing.HandedOn(to, Optional.of(own.identity())), id, octets);
    }

    private Composed redirect(PlannedStep planned, Step.Redirect step, Original original, Instant now) {
        MailAddress to = step.to().get(0);
        String id = OutgoingId.of(own.identity(), original.digest(), planned, to);
        Stamp stamp = new Stamp(own.identity(), to, id, now.atZone(zone));
        byte[] block = ResentBlock.octets(stamp, hops.next(original.message(), own.identity()));
        boolean nullPath = original.message().returnPath() instanceof ReturnPath.Null;
        Optional<MailAddress> sender = nullPath ? Optional.empty() : Optional.of(own.identity());
        return new Composed(new Outgoing.HandedOn(to, sender), id, block);
    }

    private Composed reply(PlannedStep planned, Step.Reply step, Original original, Instant now) {
        MailAddress to = original.message()
                .returnPath()
                .address()
                .orElseThrow(() -> new IllegalArgumentException("there is no return path to answer to"));
        String id = OutgoingId.of(own.identity(), original.digest(), planned, to);
        Stamp stamp = new Stamp(own.identity(), to, id, now.atZone(zone));
        byte[] octets = ReplyMessage.octets(stamp, step, original.message());
        return new Composed(new Outgoing.Answer(to, Optional.empty()), id, octets);
    }
}
