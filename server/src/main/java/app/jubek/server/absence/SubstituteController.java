package app.jubek.server.absence;

import app.jubek.core.absence.Standing;
import app.jubek.core.wording.Statement;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Refused;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/**
 * Where a substitute agrees or declines, without signing in. Looking changes nothing, so that programs which open every
 * link agree to nothing.
 */
@RestController
class SubstituteController {
    private final Substitutes substitutes;
    private final boolean served;

    SubstituteController(Substitutes substitutes, JubekProperties properties) {
        this.substitutes = substitutes;
        this.served = properties.web().publicPage(Substitutes.PAGE).isPresent();
    }

    /**
     * @param mail what is handed over; empty where the answer only names the substitute
     * @param open it can be answered
     */
    record StandInView(
            String substitute,
            String who,
            String mailbox,
            Statement days,
            List<Statement> mail,
            Standing standing,
            boolean open) {}

    record StandInAnswer(boolean agrees) {}

    @GetMapping("/api/stand-in/{token}")
    StandInView standIn(@PathVariable String token) {
        served();
        Substitutes.Page page = substitutes.page(token);
        return new StandInView(
                page.absence().absence().takingOver().orElseThrow().substitute().shown(),
                page.absence().plannedBy(),
                page.mailbox().own().identity().shown(),
                page.absence().absence().period().told(),
                page.mail(),
                page.absence().standing(),
                page.open());
    }

    @PostMapping("/api/stand-in/{token}")
    StandInView answerStandIn(@PathVariable String token, @RequestBody StandInAnswer answer) {
        served();
        substitutes.answer(token, answer.agrees());
        return standIn(token);
    }

    private void served() {
        if (!served) {
            throw Refused.notFound();
        }
    }
}
