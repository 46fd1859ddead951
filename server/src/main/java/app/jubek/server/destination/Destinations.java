package app.jubek.server.destination;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Agreement;
import app.jubek.core.review.OutsideUse;
import app.jubek.core.rule.Rule;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.agreement.StoredAgreements;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/** The addresses outside that a mailbox's rules name. */
@Service
class Destinations {
    private static final int DAYS = 90;

    private final RuleBooks books;
    private final AddressBooks people;
    private final Mailboxes mailboxes;
    private final PastMail pastMail;
    private final StoredAgreements agreements;
    private final Signals signals;

    Destinations(
            RuleBooks books,
            AddressBooks people,
            Mailboxes mailboxes,
            PastMail pastMail,
            StoredAgreements agreements,
            Signals signals) {
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
        List<MailAddress> addresses =
                uses(mailbox).stream().map(OutsideUse::address).toList();
        agreements.ask(mailbox.id(), addresses, who);
        signals.sendSoon(new Signal(Signal.Topic.MAILBOX, mailbox.id()));
    }

    private List<OutsideUse> uses(Mailbox mailbox) {
        return OutsideUse.of(books.current(mailbox.id()).book(), people.of(mailbox.id()), mailbox.own());
    }

    /** The rules that would send mail to each address, by addresses as they are compared. */
    @Transactional(readOnly = true)
    public Map<String, List<Rule>> rules(UUID mailbox) {
        return uses(mailboxes.find(mailbox)).stream()
                .collect(Collectors.toMap(use -> use.address().key(), OutsideUse::rules));
    }

    /** The rules that would send mail to an address. */
    @Transactional(readOnly = true)
    public List<Rule> rules(UUID mailbox, MailAddress address) {
        return rules(mailbox).getOrDefault(address.key(), List.of());
    }

    /** About how many messages a week a rule picks, by past mail. */
    double aWeek(UUID mailbox, Rule rule) {
        PastMail.Window window = pastMail.window(mailbox, DAYS);
        int order = window.book().rules().indexOf(rule);
        int picked = window.evidence(rule, order).picked().cardinality();
        return picked * 7.0 / DAYS;
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
