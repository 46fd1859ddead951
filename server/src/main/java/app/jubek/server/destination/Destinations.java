package app.jubek.server.destination;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Agreement;
import app.jubek.core.review.DestinationUse;
import app.jubek.core.rule.Rule;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.agreement.StoredAgreements;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.progress.FolderCursors;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/** The addresses that a mailbox's rules send mail to. */
@Service
class Destinations {
    private static final int DAYS = 90;

    private final RuleBooks books;
    private final AddressBooks people;
    private final Mailboxes mailboxes;
    private final PastMail pastMail;
    private final StoredAgreements agreements;
    private final FolderCursors cursors;
    private final Signals signals;

    Destinations(
            RuleBooks books,
            AddressBooks people,
            Mailboxes mailboxes,
            PastMail pastMail,
            StoredAgreements agreements,
            FolderCursors cursors,
            Signals signals) {
        this.cursors = cursors;
        this.books = books;
        this.people = people;
        this.mailboxes = mailboxes;
        this.pastMail = pastMail;
        this.agreements = agreements;
        this.signals = signals;
    }

    /** A rule book is saved with the requests that it needs, or not at all. */
    @TransactionalEventListener(phase = TransactionPhase.BEFORE_COMMIT)
    void saved(RuleBooks.Saved saved) {
        ask(mailboxes.find(saved.mailbox()), saved.who());
    }

    /** Groups change, too, and rule books may be older than the asking. */
    @Transactional
    public void askAll() {
        mailboxes
                .all()
                .forEach(mailbox -> ask(
                        mailbox,
                        books.current(mailbox.id())
                                .savedBy()
                                .orElse(mailbox.own().identity().shown())));
    }

    private void ask(Mailbox mailbox, String who) {
        Map<Boolean, List<MailAddress>> byInside = uses(mailbox).stream()
                .filter(use -> !use.inside() || use.isLive())
                .collect(Collectors.partitioningBy(
                        DestinationUse::inside, Collectors.mapping(DestinationUse::address, Collectors.toList())));
        agreements.ask(mailbox.id(), byInside.get(false), who);
        agreements.tell(mailbox.id(), byInside.get(true), who);
        signals.sendSoon(new Signal(Signal.Topic.MAILBOX, mailbox.id()));
    }

    private List<DestinationUse> uses(Mailbox mailbox) {
        return DestinationUse.of(books.current(mailbox.id()).book(), people.of(mailbox.id()), mailbox.own());
    }

    /** The rules that would send mail to each address, by addresses as they are compared. */
    @Transactional(readOnly = true)
    public Map<String, List<Rule>> rules(UUID mailbox) {
        return uses(mailboxes.find(mailbox)).stream()
                .collect(Collectors.toMap(use -> use.address().key(), DestinationUse::rules));
    }

    /** The rules that would send mail to an address. */
    @Transactional(readOnly = true)
    public List<Rule> rules(UUID mailbox, MailAddress address) {
        return rules(mailbox).getOrDefault(address.key(), List.of());
    }

    /** About how many messages a week a rule picks, by past mail; empty before that has been read. */
    Optional<Double> aWeek(UUID mailbox, Rule rule) {
        if (cursors.reading(mailbox, "INBOX")
                .filter(FolderCursors.Reading::finished)
                .isEmpty()) {
            return Optional.empty();
        }
        PastMail.Window window = pastMail.window(mailbox, DAYS);
        int order = window.book().rules().indexOf(rule);
        int picked = window.evidence(rule, order).picked().cardinality();
        return Optional.of(picked * 7.0 / DAYS);
    }

    /** Something was said about an agreement: pages that show it look anew. */
    void tell(StoredAgreements.Destination destination) {
        signals.sendSoon(new Signal(Signal.Topic.MAILBOX, destination.mailbox()));
    }

    /** A person answers for an address. */
    @Transactional
    public void vouch(StoredAgreements.Destination destination, String who) {
        agreements.happened(destination.id(), Agreement.Event.VOUCHED_FOR, who);
        tell(destination);
    }
}
