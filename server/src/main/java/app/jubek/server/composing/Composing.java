package app.jubek.server.composing;

import app.jubek.core.composing.Brief;
import app.jubek.core.composing.ComposedReply;
import app.jubek.core.composing.ComposingTrouble;
import app.jubek.core.composing.NotComposed;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.step.Release;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.folders.StoredOriginals;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.Refused;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Has replies composed that wait for it, one after the other. */
@Component
class Composing {
    private static final Logger LOG = LoggerFactory.getLogger(Composing.class);
    private static final int AT_ONCE = 10;

    /** Longer than a service may take; after it somebody else may try. */
    private static final Duration BEGUN_FOR = Duration.ofMinutes(5);

    private static final List<Duration> AGAIN_AFTER = List.of(Duration.ofSeconds(30), Duration.ofMinutes(3));

    private final ComposedReplyRepository awaited;
    private final ComposedReplies composed;
    private final ComposingService service;
    private final StoredOriginals originals;

    Composing(
            ComposedReplyRepository awaited,
            ComposedReplies composed,
            ComposingService service,
            StoredOriginals originals) {
        this.awaited = awaited;
        this.composed = composed;
        this.service = service;
        this.originals = originals;
    }

    @Scheduled(fixedDelay = 1, initialDelay = 5, timeUnit = TimeUnit.SECONDS)
    void composeDue() {
        if (service.isSetUp()) {
            Border.around(() -> awaited.awaited(AT_ONCE).forEach(this::compose))
                    .ifPresent(failure -> LOG.warn("composing: {}", failure.words()));
        }
    }

    private void compose(ComposedReplyRepository.Awaited reply) {
        if (awaited.begin(reply.getStep(), reply.getMailbox(), BEGUN_FOR.toNanos()) == 0) {
            return;
        }
        Border.around(() -> composeOne(reply)).ifPresent(failure -> {
            LOG.error("a reply was not composed: {}", failure.trace());
            fail(reply, ComposingTrouble.BROKE_OFF.with(), Optional.empty());
        });
    }

    private void composeOne(ComposedReplyRepository.Awaited reply) {
        try {
            composed.put(reply.getMailbox(), reply.getStep(), composedOf(reply));
        } catch (NotComposed none) {
            int before = awaited.findById(reply.getStep())
                    .map(ComposedReplyEntity::attempts)
                    .orElse(AGAIN_AFTER.size() + 1);
            boolean again = ComposingTrouble.passes(none.why()) && before <= AGAIN_AFTER.size();
            fail(reply, none.why(), again ? Optional.of(AGAIN_AFTER.get(before - 1)) : Optional.empty());
        } catch (Refused changedMeanwhile) {
            fail(reply, ComposingTrouble.TOO_LATE.with(), Optional.empty());
        }
    }

    private ComposedReply composedOf(ComposedReplyRepository.Awaited reply) throws NotComposed {
        ReadMessage message = originals.of(reply.getMessage()).message();
        Release.Composed asked =
                (Release.Composed) RuleBookJson.readStep(reply.getDetail()).release();
        return service.compose(Brief.of(
                asked.instruction(),
                message.subject(),
                ComposedReplies.text(message),
                ComposedReplies.text(composed.outgoing(reply.getStep()))));
    }

    private void fail(ComposedReplyRepository.Awaited reply, Statement why, Optional<Duration> again) {
        UUID step = reply.getStep();
        composed.fail(reply.getMailbox(), step, why, again);
    }
}
