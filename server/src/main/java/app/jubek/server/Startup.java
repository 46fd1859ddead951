package app.jubek.server;

import app.jubek.server.account.Accounts;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.catchup.CatchUpWork;
import app.jubek.server.delivery.DeliveryService;
import app.jubek.server.destination.Asking;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.nodes.Nodes;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.SimulatedWorld;
import app.jubek.server.signals.Signals;
import app.jubek.server.watching.WatchService;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What happens when the server is up: what the configuration names is made, then watching and delivery begin. */
@Component
class Startup {
    private final JubekProperties properties;
    private final Accounts accounts;
    private final Mailboxes mailboxes;
    private final MailboxAccess access;
    private final ObjectProvider<SimulatedWorld> world;
    private final WatchService watching;
    private final DeliveryService delivery;
    private final Asking asking;
    private final Nodes nodes;
    private final Signals signals;
    private final CatchUpWork catchUps;

    Startup(
            JubekProperties properties,
            Accounts accounts,
            Mailboxes mailboxes,
            MailboxAccess access,
            ObjectProvider<SimulatedWorld> world,
            WatchService watching,
            DeliveryService delivery,
            Asking asking,
            Nodes nodes,
            Signals signals,
            CatchUpWork catchUps) {
        this.properties = properties;
        this.accounts = accounts;
        this.mailboxes = mailboxes;
        this.access = access;
        this.world = world;
        this.watching = watching;
        this.delivery = delivery;
        this.asking = asking;
        this.nodes = nodes;
        this.signals = signals;
        this.catchUps = catchUps;
    }

    @Order
    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        properties.firstAccount().map(accounts::ensureFirst).ifPresent(this::giveMailboxes);
        nodes.start();
        signals.start();
        mailboxes.sealAnew();
        delivery.start();
        asking.start();
        watching.start();
        catchUps.start();
    }

    private void giveMailboxes(UUID account) {
        List<UUID> all = new ArrayList<>();
        for (JubekProperties.MailboxSettings wanted : properties.mailboxes()) {
            all.add(mailboxes.ensure(wanted, all.size()));
        }
        all.forEach(mailbox -> access.grant(account, mailbox));
        world.ifAvailable(simulated -> simulated.furnish(all));
    }
}
