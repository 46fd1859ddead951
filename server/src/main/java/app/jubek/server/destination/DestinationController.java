package app.jubek.server.destination;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Agreement;
import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.Rule;
import app.jubek.core.wording.Statement;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.agreement.AgreementRequests;
import app.jubek.server.agreement.HeldSteps;
import app.jubek.server.agreement.StoredAgreements;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The addresses that a mailbox's rules send mail to, and what they have said. */
@RestController
class DestinationController {
    private final StoredAgreements agreements;
    private final AgreementRequests requests;
    private final Destinations destinations;
    private final HeldSteps held;
    private final Mailboxes mailboxes;

    DestinationController(
            StoredAgreements agreements,
            AgreementRequests requests,
            Destinations destinations,
            HeldSteps held,
            Mailboxes mailboxes) {
        this.mailboxes = mailboxes;
        this.agreements = agreements;
        this.requests = requests;
        this.destinations = destinations;
        this.held = held;
    }

    /**
     * @param inside in a domain of ours: it was told, and not asked
     * @param rules that send it mail
     * @param waiting steps that wait for its answer
     * @param askedAt when the last request was sent
     * @param nextRequest when it is asked again by itself
     * @param fault why the last request did not leave
     * @param failures messages in a row that did not get there
     */
    record DestinationView(
            UUID id,
            String address,
            boolean inside,
            Agreement state,
            Instant since,
            Optional<Instant> endsAt,
            String askedBy,
            Optional<Instant> askedAt,
            Optional<Instant> nextRequest,
            Optional<Statement> fault,
            List<UsingRule> rules,
            int waiting,
            int failures,
            List<AgreementChangeView> changes) {}

    record UsingRule(String id, String name, boolean on) {}

    /**
     * @param who empty when it happened by itself
     */
    record AgreementChangeView(Instant at, Agreement.Event event, String who) {}

    record CodeGiven(String code) {}

    @GetMapping("/api/mailboxes/{mailbox}/destinations")
    List<DestinationView> destinations(@Allowed UUID mailbox) {
        return views(mailbox, agreements.all(mailbox));
    }

    @PostMapping("/api/mailboxes/{mailbox}/destinations/{id}/request")
    DestinationView askDestination(
            @Allowed UUID mailbox, @PathVariable UUID id, @AuthenticationPrincipal SignedIn who) {
        MailAddress asked = agreements.find(mailbox, id).address();
        if (mailboxes.find(mailbox).own().isInside(asked)) {
            throw Refused.conflict(asked.address() + " is one of ours and is not asked.", Map.of());
        }
        agreements.askAgain(id, who.shownName());
        return told(mailbox, id);
    }

    @PostMapping("/api/mailboxes/{mailbox}/destinations/{id}/code")
    DestinationView destinationCode(
            @Allowed UUID mailbox,
            @PathVariable UUID id,
            @RequestBody CodeGiven given,
            @AuthenticationPrincipal SignedIn who) {
        agreements.find(mailbox, id);
        requests.answerByCode(id, given.code(), who.shownName());
        return told(mailbox, id);
    }

    @PostMapping("/api/mailboxes/{mailbox}/destinations/{id}/vouch")
    DestinationView vouchForDestination(
            @Allowed UUID mailbox, @PathVariable UUID id, @AuthenticationPrincipal SignedIn who) {
        destinations.vouch(agreements.find(mailbox, id), who.shownName());
        return views(mailbox, List.of(agreements.find(mailbox, id))).get(0);
    }

    private DestinationView told(UUID mailbox, UUID id) {
        StoredAgreements.Destination now = agreements.find(mailbox, id);
        destinations.tell(now);
        return views(mailbox, List.of(now)).get(0);
    }

    private List<DestinationView> views(UUID mailbox, List<StoredAgreements.Destination> all) {
        OwnSide own = mailboxes.find(mailbox).own();
        Map<String, List<Rule>> rules = destinations.rules(mailbox);
        Map<String, Integer> waiting = held.waiting(mailbox);
        return all.stream()
                .map(each -> view(
                        each,
                        own.isInside(each.address()),
                        rules.getOrDefault(each.address().key(), List.of()),
                        waiting.getOrDefault(each.address().key(), 0)))
                .toList();
    }

    private static DestinationView view(
            StoredAgreements.Destination each, boolean inside, List<Rule> rules, int waiting) {
        return new DestinationView(
                each.id(),
                each.address().address(),
                inside,
                each.state(),
                each.since(),
                each.endsAt(),
                each.askedBy(),
                each.askedAt(),
                each.nextRequest(),
                each.fault(),
                rules.stream()
                        .map(rule -> new UsingRule(rule.id().value(), rule.name(), rule.on()))
                        .toList(),
                waiting,
                each.failures(),
                each.changes().stream()
                        .map(change -> new AgreementChangeView(change.at(), change.event(), change.who()))
                        .toList());
    }
}
