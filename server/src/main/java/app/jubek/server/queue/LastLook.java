package app.jubek.server.queue;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Agreements;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.Clearance;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.step.Release;
import app.jubek.server.agreement.StoredAgreements;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.rulebook.RuleBooks;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Whether a step may leave, as the world is at this moment; to be asked under the mailbox's lock. */
@Component
class LastLook {
    private static final Duration HOUR = Duration.ofHours(1);

    private final StepRepository steps;
    private final RuleBooks books;
    private final StoredAgreements agreements;
    private final Clock clock;

    LastLook(StepRepository steps, RuleBooks books, StoredAgreements agreements, Clock clock) {
        this.steps = steps;
        this.books = books;
        this.agreements = agreements;
        this.clock = clock;
    }

    Clearance.Verdict at(StepEntity step, Mailbox mailbox, StepRepository.Standing standing) {
        return Clearance.look(outgoing(step), now(step, mailbox, standing));
    }

    private Clearance.Now now(StepEntity step, Mailbox mailbox, StepRepository.Standing standing) {
        boolean ruleOn = books.current(mailbox.id())
                .book()
                .find(new RuleId(step.ruleId()))
                .filter(rule -> rule.on())
                .isPresent();
        Instant now = clock.instant();
        Instant since = now.minus(HOUR);
        return new Clearance.Now(
                mailbox.own(),
                step.kind().handsOn() ? agreements.of(mailbox, step.recipient()) : Agreements.none(),
                ruleOn,
                !step.isApproved() && awaits(step, mailbox),
                step.isApproved(),
                standing.getRestored(),
                Clearance.isOverLate(step.releaseAt().orElse(standing.getReceived()), now),
                new Clearance.Flow(steps.countLeft(mailbox.id(), since), mailbox.hourlyLimit()),
                new Clearance.Flow(steps.countLeftByRule(mailbox.id(), step.ruleId(), since), mailbox.ruleLimit()));
    }

    private boolean awaits(StepEntity step, Mailbox mailbox) {
        Release release = step.release();
        int approved = release == Release.Plain.FIRST_ON_APPROVAL
                ? steps.countApproved(mailbox.id(), step.ruleId(), step.kind())
                : 0;
        return release.due(step.plannedAt(), mailbox.opening(), approved).isEmpty();
    }

    private static Outgoing outgoing(StepEntity step) {
        MailAddress to = MailAddress.of(step.recipient());
        Optional<MailAddress> sender =
                Optional.of(step.envelopeSender()).filter(s -> !s.isEmpty()).map(MailAddress::of);
        return step.kind().handsOn() ? new Outgoing.HandedOn(to, sender) : new Outgoing.Answer(to, sender);
    }
}
