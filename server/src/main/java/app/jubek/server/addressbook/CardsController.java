package app.jubek.server.addressbook;

import app.jubek.formats.vcard.Cards;
import app.jubek.server.account.Allowed;
import app.jubek.server.platform.Refused;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The address book as vCards, in and out. */
@RestController
class CardsController {
    private final AddressBooks books;

    CardsController(AddressBooks books) {
        this.books = books;
    }

    record CardsText(String cards) {}

    /** A card that shares an address with somebody completes what is known of them, and takes nothing away. */
    @PostMapping("/api/mailboxes/{mailbox}/cards")
    AddressBooks.CardsTaken take(@Allowed UUID mailbox, @RequestBody CardsText in) {
        if (in.cards() == null) {
            throw Refused.invalid("Send the cards as text.", List.of());
        }
        return books.take(
                mailbox, Cards.read(in.cards(), () -> UUID.randomUUID().toString()));
    }

    @GetMapping("/api/mailboxes/{mailbox}/cards")
    ResponseEntity<String> give(@Allowed UUID mailbox) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_TYPE, "text/vcard; charset=utf-8")
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"address-book.vcf\"")
                .body(Cards.write(books.people(mailbox), books.groups(mailbox)));
    }
}
