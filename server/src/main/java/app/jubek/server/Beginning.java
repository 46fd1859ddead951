package app.jubek.server;

import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.formats.vcard.Cards;
import app.jubek.server.account.Accounts;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.delivery.DeliveryService;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.WatchService;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Nodes;
import app.jubek.server.rulebook.RuleBooks;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What happens when the server is up: what the configuration names is made, then watching and delivery begin. */
@Component
class Beginning {
    private final JubekProperties properties;
    private final Accounts accounts;
    private final Mailboxes mailboxes;
    private final MailboxAccess access;
    private final RuleBooks books;
    private final AddressBooks people;
    private final WatchService watching;
    private final DeliveryService delivery;
    private final Nodes nodes;

    Beginning(
            JubekProperties properties,
            Accounts accounts,
            Mailboxes mailboxes,
            MailboxAccess access,
            RuleBooks books,
            AddressBooks people,
            WatchService watching,
            DeliveryService delivery,
            Nodes nodes) {
        this.properties = properties;
        this.accounts = accounts;
        this.mailboxes = mailboxes;
        this.access = access;
        this.books = books;
        this.people = people;
        this.watching = watching;
        this.delivery = delivery;
        this.nodes = nodes;
    }

    @Order
    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        properties.firstAccount().map(accounts::ensureFirst).ifPresent(this::giveMailboxes);
        nodes.start();
        mailboxes.sealAnew();
        delivery.start();
        watching.start();
    }

    private void giveMailboxes(UUID account) {
        List<UUID> all = new ArrayList<>();
        for (JubekProperties.MailboxSettings wanted : properties.mailboxes()) {
            all.add(mailboxes.ensure(wanted, all.size()));
        }
        all.forEach(mailbox -> access.grant(account, mailbox));
        properties.simulated().ifPresent(demo -> all.stream().limit(1).forEach(mailbox -> furnish(mailbox, demo)));
    }

    private void furnish(UUID mailbox, JubekProperties.Demo demo) {
        if (books.current(mailbox).version() == 0) {
            demo.people()
                    .map(Beginning::read)
                    .map(cards -> Cards.read(cards, () -> UUID.randomUUID().toString()))
                    .ifPresent(cards -> people.take(mailbox, cards));
            books.save(mailbox, 0, RuleBookJson.read(read(demo.ruleBook())), "Ostrel Gardens");
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
