package app.jubek.server.undo;

import app.jubek.core.plan.UndoObstacle;
import app.jubek.core.rule.RuleId;
import app.jubek.core.wording.Statement;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.platform.Refused;
import app.jubek.server.step.Work;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What can be undone of single steps or of a rule's day, and the undoing. */
@RestController
class UndoController {
    private static final int MOST_STEPS = 1_000;
    private static final int SHOWN = 5;

    private final Undo undo;

    UndoController(Undo undo) {
        this.undo = undo;
    }

    /**
     * What is to be undone: single steps, all that a rule did on a day, or a whole catch-up.
     *
     * @param rule with a day
     * @param day by the mailbox's clock
     */
    record UndoRequest(
            Optional<List<UUID>> steps, Optional<String> rule, Optional<LocalDate> day, Optional<UUID> catchUp) {}

    /**
     * What would come of it.
     *
     * @param can how many steps can be undone, by kind
     * @param cannot why others can't
     * @param looked false when the mail server couldn't be asked whether something was moved since
     */
    record UndoPreview(List<UndoKind> can, List<UndoRefused> cannot, boolean looked) {}

    record UndoKind(Work kind, int steps) {}

    /**
     * @param subjects of the first few messages
     */
    record UndoRefused(Statement why, int steps, List<String> subjects) {}

    record UndoPlanned(int steps) {}

    @PostMapping("/api/mailboxes/{mailbox}/undo/preview")
    UndoPreview previewUndo(@Allowed UUID mailbox, @RequestBody UndoRequest request) {
        Undo.Prospect prospect = undo.prospect(mailbox, wanted(mailbox, request));
        Map<Work, Integer> can = new EnumMap<>(Work.class);
        Map<UndoObstacle, List<DoneStep>> cannot = new EnumMap<>(UndoObstacle.class);
        for (DoneStep step : prospect.steps()) {
            prospect.obstacle(step)
                    .ifPresentOrElse(
                            why -> cannot.computeIfAbsent(why, w -> new ArrayList<>())
                                    .add(step),
                            () -> can.merge(step.kind(), 1, Integer::sum));
        }
        return new UndoPreview(
                can.entrySet().stream()
                        .map(each -> new UndoKind(each.getKey(), each.getValue()))
                        .toList(),
                cannot.entrySet().stream()
                        .map(each -> refused(each.getKey(), each.getValue()))
                        .toList(),
                prospect.looked());
    }

    private static UndoRefused refused(UndoObstacle why, List<DoneStep> steps) {
        return new UndoRefused(
                why.with(),
                steps.size(),
                steps.stream().map(DoneStep::subject).distinct().limit(SHOWN).toList());
    }

    @PostMapping("/api/mailboxes/{mailbox}/undo")
    UndoPlanned undo(@Allowed UUID mailbox, @RequestBody UndoRequest request, @AuthenticationPrincipal SignedIn who) {
        return new UndoPlanned(undo.plan(mailbox, wanted(mailbox, request), who.shownName()));
    }

    private List<DoneStep> wanted(UUID mailbox, UndoRequest request) {
        if (request.steps().isPresent()) {
            List<UUID> ids = request.steps().get();
            if (ids.isEmpty() || ids.size() > MOST_STEPS) {
                throw Refused.invalid("Name between 1 and " + MOST_STEPS + " steps.", List.of());
            }
            return undo.steps(mailbox, ids);
        }
        if (request.catchUp().isPresent()) {
            return undo.ofCatchUp(mailbox, request.catchUp().get());
        }
        RuleId rule = request.rule().map(RuleId::new).orElseThrow(UndoController::nothingNamed);
        return undo.ofDay(mailbox, rule, request.day().orElseThrow(UndoController::nothingNamed));
    }

    private static Refused nothingNamed() {
        return Refused.invalid("Name the steps to undo, a rule and a day, or a catch-up.", List.of());
    }
}
