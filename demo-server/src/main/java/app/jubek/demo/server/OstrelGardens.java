package app.jubek.demo.server;

import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.formats.vcard.Cards;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.platform.SimulatedWorld;
import app.jubek.server.rulebook.RuleBooks;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The first mailbox begins with the garden's people and rules. */
@Component
class OstrelGardens implements SimulatedWorld {
    private final DemoProperties demo;
    private final RuleBooks books;
    private final AddressBooks people;

    OstrelGardens(DemoProperties demo, RuleBooks books, AddressBooks people) {
        this.demo = demo;
        this.books = books;
        this.people = people;
    }

    @Override
    public void furnish(List<UUID> mailboxes) {
        mailboxes.stream()
                .limit(1)
                .filter(mailbox -> books.current(mailbox).version() == 0)
                .forEach(this::furnish);
    }

    private void furnish(UUID mailbox) {
        demo.people()
                .map(OstrelGardens::read)
                .map(cards -> Cards.read(cards, () -> UUID.randomUUID().toString()))
                .ifPresent(cards -> people.take(mailbox, cards));
        books.save(mailbox, 0, RuleBookJson.read(read(demo.ruleBook())), "Ostrel Gardens");
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
