package app.jubek.server.addressbook;

import app.jubek.core.people.PeopleGroup;
import app.jubek.core.people.Person;
import app.jubek.formats.vcard.Cards;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.platform.Refused;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The address book as vCards, in and out. */
@RestController
class CardsController {
    private final AddressBooks books;
    private final MailboxAccess access;

    CardsController(AddressBooks books, MailboxAccess access) {
        this.books = books;
        this.access = access;
    }

    record CardsText(String cards) {}

    /**
     * @param added people who were not there before
     * @param completed people who were, and about whom the cards say more or the same
     * @param notTaken what was left out and why
     */
    record CardsTaken(int added, int completed, int groups, List<String> notTaken) {}

    /** A card that shares an address with somebody completes what is known of them, and takes nothing away. */
    @PostMapping("/api/mailboxes/{mailbox}/cards")
    @Transactional
    public CardsTaken take(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @RequestBody CardsText in) {
        access.check(who, mailbox);
        if (in.cards() == null) {
            throw Refused.invalid("Send the cards as text.", List.of());
        }
        Cards cards = Cards.read(in.cards(), () -> UUID.randomUUID().toString());
        int completed = 0;
        for (Person card : cards.people()) {
            Optional<Person> known =
                    books.people(mailbox).stream().filter(card::sharesAddress).findFirst();
            completed += known.isPresent() ? 1 : 0;
            books.save(mailbox, known.map(person -> person.with(card)).orElse(card));
        }
        cards.groups().forEach(group -> books.save(mailbox, joined(mailbox, group)));
        return new CardsTaken(
                cards.people().size() - completed, completed, cards.groups().size(), cards.notTaken());
    }

    private PeopleGroup joined(UUID mailbox, PeopleGroup group) {
        return books.groups(mailbox).stream()
                .filter(known -> known.name().equalsIgnoreCase(group.name()))
                .findFirst()
                .map(known -> known.with(group.members()))
                .orElse(group);
    }

    @GetMapping("/api/mailboxes/{mailbox}/cards")
    ResponseEntity<String> give(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox) {
        access.check(who, mailbox);
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_TYPE, "text/vcard; charset=utf-8")
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"address-book.vcf\"")
                .body(Cards.write(books.people(mailbox), books.groups(mailbox)));
    }
}
