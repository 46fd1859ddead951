package app.jubek.server.step;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.StepNote;
import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import app.jubek.server.step.StepView.Act;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * How a step stands, and what a person may do with it then.
 *
 * @param attended whether a person has seen to what became of it
 * @param waitsForItsTime it goes out later by itself, and nothing of it has been tried
 * @param hasMail whether what leaves is written
 * @param unseen whether it is an answer that was withheld while its message left the inbox
 */
public record StepStanding(
        Work kind,
        StepState state,
        Optional<Statement> because,
        Optional<Advice> advice,
        boolean attended,
        boolean waitsForItsTime,
        boolean hasMail,
        boolean unseen) {

    public List<Act> acts() {
        return switch (state) {
            case HELD -> mayBeLetGo() ? List.of(Act.SEND_NOW, Act.DISCARD) : List.of(Act.DISCARD);
            case READY -> waitsForItsTime ? ofWaiting() : List.of();
            case SENT -> isToBeSeen() ? List.of(Act.DEALT_WITH) : List.of();
            case FAILED ->
                advice.filter(Advice.FORWARD_INSTEAD::equals).isPresent()
                        ? List.of(Act.FORWARD_INSTEAD, Act.DISCARD)
                        : List.of(Act.TRY_AGAIN, Act.DISCARD);
            case UNCERTAIN -> List.of(Act.TRY_AGAIN, Act.DISCARD);
            case WITHHELD -> ofWithheld();
            default -> List.of();
        };
    }

    /** It came back as nobody dealt with it, or was not for who had it, and nobody has seen to it. */
    private boolean isToBeSeen() {
        boolean notFor = because.filter(why -> why.is(StepNote.NOT_FOR)).isPresent();
        return !attended && (kind == Work.FOLLOW_UP || notFor);
    }

    private List<Act> ofWaiting() {
        return kind == Work.FOLLOW_UP
                ? List.of(Act.DEALT_WITH, Act.BRING_BACK)
                : List.of(Act.SEND_NOW, Act.STOP, Act.DISCARD);
    }

    private List<Act> ofWithheld() {
        if (kind != Work.REPLY || attended) {
            return List.of();
        }
        List<Act> acts = new ArrayList<>();
        if (reason().filter(Reason::mayBeAnsweredAnyway).isPresent()) {
            acts.add(Act.ANSWER_ANYWAY);
        }
        if (unseen) {
            acts.add(Act.BRING_BACK);
            acts.add(Act.LEAVE);
        }
        return acts;
    }

    private boolean mayBeLetGo() {
        return reason().filter(Reason::mayBeOverruled).isPresent();
    }

    /** Whether a person may write it anew. */
    public boolean mayBeEdited() {
        return kind == Work.REPLY && state == StepState.HELD && hasMail && mayBeLetGo();
    }

    /** Whether it was done in the mailbox, so that it can be undone unless something has changed since. */
    public boolean mayBeUndone() {
        return state == StepState.SENT && kind.mayBeUndone();
    }

    /** Why it is held or withheld. */
    public Optional<Reason> reason() {
        return because.flatMap(
                why -> Arrays.stream(Reason.values()).filter(why::is).findFirst());
    }
}
