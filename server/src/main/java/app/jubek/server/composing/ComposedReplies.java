package app.jubek.server.composing;

import app.jubek.core.composing.ComposedReply;
import app.jubek.core.composing.Sentence;
import app.jubek.core.composing.Source;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.EditedAnswer;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import app.jubek.core.wording.Statement;
import app.jubek.server.content.StepContent;
import app.jubek.server.platform.Refused;
import app.jubek.server.queue.Outbox;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Composed replies that wait: each stands in the place of its rule's own, which can be had back. */
@Component
public class ComposedReplies {
    private final ComposedReplyRepository replies;
    private final Outbox outbox;
    private final StepContent bytes;
    private final Signals signals;
    private final MessageReading reading = new MessageReading(Limits.standard());

    ComposedReplies(ComposedReplyRepository replies, Outbox outbox, StepContent bytes, Signals signals) {
        this.replies = replies;
        this.outbox = outbox;
        this.bytes = bytes;
        this.signals = signals;
    }

    /** How far composing is. */
    public enum Progress {
        BEING_COMPOSED,
        COMPOSED,
        NOT_COMPOSED,
        /** A person took the reply as its rule has it. */
        SET_ASIDE
    }

    /**
     * @param sentences of one that was composed
     * @param because why there is none
     */
    public record ComposedReplyView(Progress progress, List<SentenceView> sentences, Optional<Statement> because) {}

    /**
     * @param from what bears it out; empty where nothing does
     * @param quote the words that do
     */
    public record SentenceView(
            String text, Sentence.Begins begins, Optional<Source.From> from, Optional<String> quote) {
        static SentenceView of(Sentence sentence) {
            return new SentenceView(
                    sentence.text(),
                    sentence.begins(),
                    sentence.source().map(Source::from),
                    sentence.source().map(Source::quote));
        }
    }

    /** Of steps that have one, or have asked for one. */
    @Transactional(readOnly = true)
    public Map<UUID, ComposedReplyView> of(UUID mailbox, Collection<UUID> steps) {
        return steps.isEmpty()
                ? Map.of()
                : replies.of(mailbox, steps).stream()
                        .collect(Collectors.toMap(ComposedReplyEntity::step, ComposedReplies::view));
    }

    private static ComposedReplyView view(ComposedReplyEntity reply) {
        boolean shown = reply.progress() == Progress.COMPOSED;
        return new ComposedReplyView(
                reply.progress(),
                shown ? reply.sentences().stream().map(SentenceView::of).toList() : List.of(),
                reply.because());
    }

    /** What would go out as it is. */
    ReadMessage outgoing(UUID step) {
        return reading.read(bytes.of(step).all());
    }

    static String text(ReadMessage message) {
        return String.join("\n\n", message.texts());
    }

    /**
     * Puts a composed reply in the place of the rule's own.
     *
     * @throws Refused when a person has changed it meanwhile, or it has left
     */
    @Transactional
    void put(UUID mailbox, UUID step, ComposedReply reply) {
        ComposedReplyEntity entity = toChange(mailbox, step, Progress.BEING_COMPOSED);
        ReadMessage before = outgoing(step);
        outbox.edit(mailbox, step, new EditedAnswer(before.subject(), reply.text(), false));
        entity.composed(reply, text(before));
    }

    /** There is none, for now or for good. */
    @Transactional
    void fail(UUID mailbox, UUID step, Statement why, Optional<Duration> again) {
        replies.toChange(step, mailbox)
                .filter(reply -> reply.progress() == Progress.BEING_COMPOSED)
                .ifPresent(reply -> {
                    reply.failed(why, again.isEmpty());
                    again.ifPresent(pause -> replies.postpone(step, pause.toNanos()));
                    signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox));
                });
    }

    /**
     * The text that the rule has, in place of the composed one.
     *
     * @throws Refused when a person has changed it meanwhile, or it has left
     */
    @Transactional
    void setAside(UUID mailbox, UUID step) {
        ComposedReplyEntity reply = toChange(mailbox, step, Progress.COMPOSED);
        outbox.edit(mailbox, step, new EditedAnswer(outgoing(step).subject(), reply.reply(), false));
        reply.setAside();
    }

    /**
     * Has it composed once more.
     *
     * @throws Refused unless it was not composed, or set aside
     */
    @Transactional
    void askAgain(UUID mailbox, UUID step) {
        toChange(mailbox, step, Progress.NOT_COMPOSED, Progress.SET_ASIDE).askAgain();
        replies.postpone(step, 0);
        signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox));
    }

    private ComposedReplyEntity toChange(UUID mailbox, UUID step, Progress... in) {
        return replies.toChange(step, mailbox)
                .map(reply -> {
                    if (!List.of(in).contains(reply.progress())) {
                        throw Refused.conflict(
                                "Composing this reply has gone on meanwhile: look at it again.", Map.of());
                    }
                    return reply;
                })
                .orElseThrow(Refused::notFound);
    }

    /** Of what waits no more: what left is kept as it left, for its time. */
    @Scheduled(fixedDelay = 60, initialDelay = 1, timeUnit = TimeUnit.MINUTES)
    @Transactional
    public void clearAway() {
        replies.clearAway();
    }
}
