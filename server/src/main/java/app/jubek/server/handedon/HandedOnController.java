package app.jubek.server.handedon;

import app.jubek.core.step.StepState;
import app.jubek.server.agreement.StoredAgreements;
import app.jubek.server.deciding.Composers;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.queue.Outbox;
import app.jubek.server.step.StepView;
import app.jubek.server.step.Work;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/**
 * The page of a forward. Looking changes nothing, so that programs which open every link say nothing. Whoever has the
 * message may say what becomes of it; that its mail stops is confirmed by the address itself.
 */
@RestController
class HandedOnController {
    /** What waits for whoever has a message, and what it turns into. */
    private static final Set<Work> FOLLOWED_UP = Set.of(Work.FOLLOW_UP, Work.BRING_BACK);

    private final Composers composers;
    private final Mailboxes mailboxes;
    private final Outbox outbox;
    private final StoredAgreements agreements;

    HandedOnController(Composers composers, Mailboxes mailboxes, Outbox outbox, StoredAgreements agreements) {
        this.composers = composers;
        this.mailboxes = mailboxes;
        this.outbox = outbox;
        this.agreements = agreements;
    }

    /** How a message stands that comes back unless somebody deals with it. */
    enum FollowUpState {
        NOT_ASKED,
        OPEN,
        DEALT_WITH,
        BACK
    }

    /**
     * @param mayStop the address agreed to get such mail
     * @param stopAsked it is being asked whether that is to stop
     */
    record HandedOnView(
            String recipient,
            String from,
            String fromAddress,
            Instant at,
            FollowUpState followUp,
            boolean mayStop,
            boolean stopAsked) {}

    enum Said {
        DEALT_WITH,
        NOT_FOR_ME,
        STOP
    }

    record HandedOnAnswer(Said said) {}

    private record Forward(Mailbox mailbox, StepView step) {}

    @GetMapping("/api/handed-on/{token}")
    HandedOnView handedOn(@PathVariable String token) {
        Forward forward = forward(token);
        Optional<StoredAgreements.Destination> agreed = agreed(forward);
        return new HandedOnView(
                forward.step().recipient(),
                forward.mailbox().own().identity().shown(),
                forward.mailbox().own().identity().address(),
                forward.step().plannedAt(),
                followUp(forward),
                agreed.isPresent(),
                agreed.filter(StoredAgreements.Destination::stopAsked).isPresent());
    }

    @PostMapping("/api/handed-on/{token}")
    HandedOnView sayOfHandedOn(@PathVariable String token, @RequestBody HandedOnAnswer answer) {
        Forward forward = forward(token);
        switch (answer.said()) {
            case DEALT_WITH -> outbox.said(forward.mailbox().id(), forward.step(), true);
            case NOT_FOR_ME -> outbox.said(forward.mailbox().id(), forward.step(), false);
            default -> agreed(forward).ifPresent(to -> agreements.askToStop(to.id()));
        }
        return handedOn(token);
    }

    private Forward forward(String token) {
        String id = composers.forward(token).orElseThrow(Refused::notFound);
        return mailboxes.all().stream()
                .flatMap(mailbox -> outbox
                        .sentAs(
                                mailbox.id(),
                                "<" + id + "@" + mailbox.own().identity().domain() + ">")
                        .map(step -> new Forward(mailbox, step))
                        .stream())
                .findFirst()
                .orElseThrow(Refused::notFound);
    }

    private Optional<StoredAgreements.Destination> agreed(Forward forward) {
        return agreements
                .find(forward.mailbox().id(), forward.step().recipient())
                .filter(to -> to.state().isGiven());
    }

    private FollowUpState followUp(Forward forward) {
        return outbox.ofMessages(forward.mailbox().id(), List.of(forward.step().message())).values().stream()
                .flatMap(List::stream)
                .filter(step -> FOLLOWED_UP.contains(step.kind()))
                .map(HandedOnController::state)
                .findFirst()
                .orElse(FollowUpState.NOT_ASKED);
    }

    private static FollowUpState state(StepView followUp) {
        if (followUp.kind() == Work.BRING_BACK || followUp.state() == StepState.SENT) {
            return FollowUpState.BACK;
        }
        return followUp.state() == StepState.DISCARDED ? FollowUpState.DEALT_WITH : FollowUpState.OPEN;
    }
}
