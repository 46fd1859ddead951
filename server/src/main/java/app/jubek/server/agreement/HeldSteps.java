package app.jubek.server.agreement;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Agreement;
import app.jubek.core.people.Agreements;
import app.jubek.core.safety.Clearance;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.time.Clock;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Steps that wait for what a destination says: they leave when it agrees, and say so when it declines. */
@Component
public class HeldSteps {
    private final AgreementRepository repository;
    private final StoredAgreements agreements;
    private final Mailboxes mailboxes;
    private final Signals signals;
    private final Clock clock;

    HeldSteps(
            AgreementRepository repository,
            StoredAgreements agreements,
            Mailboxes mailboxes,
            Signals signals,
            Clock clock) {
        this.mailboxes = mailboxes;
        this.repository = repository;
        this.agreements = agreements;
        this.signals = signals;
        this.clock = clock;
    }

    /** A message that came in more than a day before does not leave by itself: a person decides. */
    @Transactional
    public void settle() {
        repository.heldFor().forEach(held -> settle((UUID) held[0], (String) held[1]));
    }

    private void settle(UUID mailbox, String recipient) {
        Agreements said = agreements.of(mailbox);
        MailAddress to = MailAddress.of(recipient);
        boolean inside = mailboxes.find(mailbox).own().isInside(to);
        Optional<Agreement> agreement = said.of(to);
        int settled = 0;
        if (agreement.filter(each -> each.allows(inside)).isPresent()) {
            Instant inTime = Clearance.latest(clock.instant());
            settled = repository.release(mailbox, recipient, inTime) + repository.keepLate(mailbox, recipient);
        } else if (agreement.filter(Agreement::isRefused).isPresent()) {
            settled = repository.declined(mailbox, recipient);
        }
        if (settled > 0) {
            signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox));
            signals.sendSoon(new Signal(Signal.Topic.WORK, mailbox));
        }
    }

    /** How many wait for each address, by addresses as they are compared; none are left out. */
    @Transactional(readOnly = true)
    public Map<String, Integer> waiting(UUID mailbox) {
        return repository.waiting(mailbox).stream()
                .collect(Collectors.toMap(each -> (String) each[0], each -> ((Long) each[1]).intValue()));
    }
}
