package app.jubek.server.destination;

import app.jubek.core.people.Agreement;
import app.jubek.core.wording.Statement;
import app.jubek.server.agreement.AgreementRequests;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Refused;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/**
 * Where a destination answers, without signing in. Looking changes nothing, so that programs which open every link agree
 * to nothing. Without a public address there is no such page.
 */
@RestController
class AgreementController {
    private final AgreementRequests requests;
    private final Destinations destinations;
    private final Mailboxes mailboxes;
    private final boolean served;

    AgreementController(
            AgreementRequests requests, Destinations destinations, Mailboxes mailboxes, JubekProperties properties) {
        this.requests = requests;
        this.destinations = destinations;
        this.mailboxes = mailboxes;
        this.served = properties.web().publicPage(Asking.PAGE).isPresent();
    }

    /**
     * @param mail which mail comes, or would
     * @param open it can be agreed to
     */
    record AgreementView(
            String address,
            String who,
            String from,
            String fromAddress,
            Agreement state,
            Instant since,
            Optional<Instant> endsAt,
            List<Statement> mail,
            boolean open,
            Instant until) {}

    record AgreementAnswer(boolean agrees) {}

    @GetMapping("/api/agreement/{token}")
    AgreementView agreement(@PathVariable String token) {
        AgreementRequests.Page page = page(token);
        Mailbox mailbox = mailboxes.find(page.destination().mailbox());
        return new AgreementView(
                page.destination().address().address(),
                page.destination().askedBy(),
                mailbox.own().identity().shown(),
                mailbox.own().identity().address(),
                page.destination().state(),
                page.destination().since(),
                page.destination().endsAt(),
                destinations.rules(mailbox.id(), page.destination().address()).stream()
                        .map(rule -> rule.mail())
                        .toList(),
                page.open(),
                page.until());
    }

    @PostMapping("/api/agreement/{token}")
    AgreementView answerAgreement(@PathVariable String token, @RequestBody AgreementAnswer answer) {
        AgreementRequests.Page page = page(token);
        requests.answer(token, answer.agrees());
        destinations.tell(page.destination());
        return agreement(token);
    }

    private AgreementRequests.Page page(String token) {
        if (!served) {
            throw Refused.notFound();
        }
        return requests.page(token);
    }
}
