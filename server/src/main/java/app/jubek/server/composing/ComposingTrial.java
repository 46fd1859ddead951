package app.jubek.server.composing;

import app.jubek.core.composing.Brief;
import app.jubek.core.composing.ComposedReply;
import app.jubek.core.composing.ComposingTrouble;
import app.jubek.core.composing.NotComposed;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.evidence.Counter;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Release;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.wording.Statement;
import app.jubek.server.deciding.DecisionContexts;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.preview.ComposedBeforehand;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Has replies composed for past messages that a rule picks and would answer; nothing leaves but to the composing service. */
@Component
class ComposingTrial {
    private static final int MESSAGES = 3;

    /** Some that a rule picks get no reply: lists, automatic mail. */
    private static final int LOOKED_AT = 60;

    /** A reply that quotes nothing needs none of the message. */
    private static final ByteSource NO_BYTES = ByteSource.of(new byte[0]);

    private final ComposingService service;
    private final ComposedBeforehand beforehand;
    private final DecisionContexts contexts;

    ComposingTrial(ComposingService service, ComposedBeforehand beforehand, DecisionContexts contexts) {
        this.service = service;
        this.beforehand = beforehand;
        this.contexts = contexts;
    }

    /**
     * One past message.
     *
     * @param composed empty where none was
     * @param why there is none
     */
    record Tried(PastMessage message, Optional<ComposedReply> composed, Optional<Statement> why) {}

    private record Replied(PastMessage to, String text) {}

    /** Of the latest messages; none when the rule picked none to reply to. */
    List<Tried> of(PastMail.Window window, Rule rule, int order, Step.Reply reply) {
        return window.evidence(rule, order).places(Counter.PICKED).stream()
                .limit(LOOKED_AT)
                .map(at -> window.past().message(at))
                .flatMap(past -> replyTo(past, window, reply).map(text -> new Replied(past, text)).stream())
                .limit(MESSAGES)
                .map(replied -> compose(replied, reply))
                .toList();
    }

    private Tried compose(Replied replied, Step.Reply reply) {
        PastMessage past = replied.to();
        ReadMessage message = past.message();
        String instruction = ((Release.Composed) reply.release()).instruction();
        try {
            ComposedReply composed = service.compose(
                    Brief.of(instruction, message.subject(), ComposedReplies.text(message), replied.text()));
            return new Tried(past, Optional.of(composed), Optional.empty());
        } catch (NotComposed none) {
            return new Tried(past, Optional.empty(), Optional.of(none.why()));
        }
    }

    /** The text of the reply that the step itself gives; empty where the message gets none. */
    private Optional<String> replyTo(PastMessage past, PastMail.Window window, Step.Reply reply) {
        Rule only = new Rule(
                new RuleId("tried"),
                1,
                "tried",
                new Everything(),
                new Nothing(),
                List.of(reply),
                Ending.CONTINUE,
                true);
        Decision decision = Engine.decide(
                CompiledBook.of(new RuleBook(List.of(only), window.book().fence(), List.of())),
                past.message(),
                contexts.withEverybodyAgreed(
                        window.mailbox(), past.seen().context().atArrival()));
        return beforehand.of(window.mailbox(), past.message(), NO_BYTES, decision, window.now()).stream()
                .filter(leaving -> leaving.kind() == StepKind.REPLY)
                .map(ComposedBeforehand.Leaving::text)
                .findFirst();
    }

    static boolean isComposed(Tried tried) {
        return tried.composed().isPresent()
                || tried.why().filter(why -> why.is(ComposingTrouble.DECLINED)).isPresent();
    }
}
