package app.jubek.server.pastmail;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.evidence.PastRun;
import app.jubek.core.rule.Rule;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.step.StepState;
import app.jubek.server.figures.WorkFigures;
import app.jubek.server.intake.MessageStatus;
import app.jubek.server.intake.Messages;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import org.springframework.stereotype.Component;

/** What happened to messages, or would happen to past mail by the rules as they are now; messages are sought by it. */
@Component
class WhatHappened {
    private final Messages messages;
    private final WorkFigures figures;

    WhatHappened(Messages messages, WorkFigures figures) {
        this.messages = messages;
        this.figures = figures;
    }

    /** By what messages are sought. */
    enum Happened {
        ANYTHING,
        DONE,
        WAITS,
        WITHHELD,
        NOTHING,
        PAST,
        /** No rule as it is now picks it. */
        UNPICKED
    }

    /** A rule that picks a message as the rules are now, and what it does. */
    record Today(String rule, String name, List<StepKind> kinds) {
        static List<Today> of(PastRun run, int place) {
            return run.trace(place).picking().stream().map(Today::of).toList();
        }

        private static Today of(Rule rule) {
            return new Today(
                    rule.id().value(),
                    rule.name(),
                    rule.steps().stream().map(Step::kind).toList());
        }
    }

    static PastRun today(PastMail.Window window) {
        return new PastRun(window.book(), window.past(), window.mailbox().opening());
    }

    /**
     * Which places of a window are sought.
     *
     * @param rule that picks them as it is now
     */
    IntPredicate sought(PastMail.Window window, Happened happened, Optional<String> rule) {
        PastRun run = today(window);
        IntPredicate byHappening = byHappening(window, run, happened);
        return rule.map(id -> byHappening.and(at -> run.trace(at).picking().stream()
                        .anyMatch(picking -> picking.id().value().equals(id))))
                .orElse(byHappening);
    }

    private IntPredicate byHappening(PastMail.Window window, PastRun run, Happened happened) {
        return switch (happened) {
            case ANYTHING -> at -> true;
            case UNPICKED -> at -> run.trace(at).picking().isEmpty();
            case DONE -> withSteps(window, EnumSet.of(StepState.SENT, StepState.UNDONE));
            case WAITS -> withSteps(window, EnumSet.of(StepState.HELD, StepState.UNCERTAIN, StepState.FAILED));
            case WITHHELD -> withSteps(window, EnumSet.of(StepState.WITHHELD));
            case NOTHING ->
                ofStatus(window, MessageStatus.DECIDED)
                        .and(withSteps(window, EnumSet.allOf(StepState.class)).negate());
            case PAST -> ofStatus(window, MessageStatus.PAST);
        };
    }

    /** No step is planned before its message comes in. */
    private IntPredicate withSteps(PastMail.Window window, Set<StepState> states) {
        return among(window, figures.messagesIn(window.mailbox().id(), states, window.since()));
    }

    private IntPredicate ofStatus(PastMail.Window window, MessageStatus status) {
        return among(window, messages.ofStatus(window.mailbox().id(), status, window.since()));
    }

    private static IntPredicate among(PastMail.Window window, Set<Long> ids) {
        Corpus.View past = window.past();
        return at -> ids.contains(past.message(at).id());
    }
}
