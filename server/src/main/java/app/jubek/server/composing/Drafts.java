package app.jubek.server.composing;

import app.jubek.core.composing.Draft;
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
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The drafts of replies that wait: each stands in its reply, and the reply as its rule has it can be had back. */
@Component
public class Drafts {
    private final ComposedDraftRepository drafts;
    private final Outbox outbox;
    private final StepContent bytes;
    private final Signals signals;
    private final MessageReading reading = new MessageReading(Limits.standard());

    Drafts(ComposedDraftRepository drafts, Outbox outbox, StepContent bytes, Signals signals) {
        this.drafts = drafts;
        this.outbox = outbox;
        this.bytes = bytes;
        this.signals = signals;
    }

    /** How far a draft is. */
    public enum Progress {
        BEING_COMPOSED,
        COMPOSED,
        NOT_COMPOSED,
        SET_ASIDE
    }

    /**
     * @param sentences of a draft that stands in the reply
     * @param because why there is none
     */
    public record ComposedDraftView(Progress progress, List<SentenceView> sentences, Optional<Statement> because) {}

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
    public Map<UUID, ComposedDraftView> of(UUID mailbox, Collection<UUID> steps) {
        return steps.isEmpty()
                ? Map.of()
                : drafts.of(mailbox, steps).stream().collect(Collectors.toMap(ComposedDraftEntity::step, Drafts::view));
    }

    private static ComposedDraftView view(ComposedDraftEntity draft) {
        Progress progress = switch (draft.state()) {
            case ASKED -> Progress.BEING_COMPOSED;
            case DRAFTED -> Progress.COMPOSED;
            case FAILED -> Progress.NOT_COMPOSED;
            default -> Progress.SET_ASIDE;
        };
        boolean shown = progress == Progress.COMPOSED;
        return new ComposedDraftView(
                progress,
                shown ? draft.sentences().stream().map(SentenceView::of).toList() : List.of(),
                draft.because());
    }

    /** What would go out as it is. */
    ReadMessage outgoing(UUID step) {
        return reading.read(bytes.of(step).all());
    }

    static String text(ReadMessage message) {
        return String.join("\n\n", message.texts());
    }

    /**
     * Puts a draft in its reply.
     *
     * @throws Refused when a person has changed it meanwhile, or it has left
     */
    @Transactional
    public void put(UUID mailbox, UUID step, Draft draft) {
        ComposedDraftEntity entity = drafts.toChange(step).orElseThrow(Refused::notFound);
        ReadMessage before = outgoing(step);
        outbox.edit(mailbox, step, new EditedAnswer(before.subject(), draft.text(), false));
        entity.drafted(draft, text(before));
    }

    /** There is none, for now or for good. */
    @Transactional
    void fail(UUID mailbox, UUID step, Statement why, Optional<Duration> again) {
        drafts.toChange(step).ifPresent(draft -> {
            draft.failed(why, again.isEmpty());
            again.ifPresent(pause -> drafts.postpone(step, pause.toNanos()));
            signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox));
        });
    }

    /**
     * The text that the rule has, in place of the draft.
     *
     * @throws Refused when a person has changed it meanwhile, or it has left
     */
    @Transactional
    void setAside(UUID mailbox, UUID step) {
        ComposedDraftEntity draft = toChange(mailbox, step);
        if (draft.state() == ComposedDraftEntity.State.DRAFTED) {
            outbox.edit(mailbox, step, new EditedAnswer(outgoing(step).subject(), draft.reply(), false));
        }
        draft.setAside();
    }

    /** Of one that was not composed, or set aside. */
    @Transactional
    void askAgain(UUID mailbox, UUID step) {
        toChange(mailbox, step).askAgain();
        drafts.postpone(step, 0);
        signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox));
    }

    private ComposedDraftEntity toChange(UUID mailbox, UUID step) {
        drafts.of(mailbox, List.of(step)).stream().findFirst().orElseThrow(Refused::notFound);
        return drafts.toChange(step).orElseThrow(Refused::notFound);
    }
}
