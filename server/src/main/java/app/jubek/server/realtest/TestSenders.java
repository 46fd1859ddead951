package app.jubek.server.realtest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ByteSource;
import app.jubek.core.realtest.RealTest;
import app.jubek.core.safety.Cleared;
import app.jubek.core.safety.Outgoing;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.mailbox.MailServer;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.JubekProperties.TestSender;
import app.jubek.server.platform.Refused;
import app.jubek.server.platform.Words;
import app.jubek.server.smtp.SmtpFault;
import app.jubek.server.smtp.SmtpSession;
import app.jubek.server.smtp.SmtpSessions;
import app.jubek.server.stop.Stops;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Addresses that tests can be sent from: a person's other mailboxes, and those that the settings name. */
@Component
class TestSenders {
    private final Mailboxes mailboxes;
    private final MailboxAccess access;
    private final SmtpSessions sessions;
    private final Stops stops;
    private final Words words;
    private final Map<String, TestSender> named;

    TestSenders(
            Mailboxes mailboxes,
            MailboxAccess access,
            SmtpSessions sessions,
            Stops stops,
            Words words,
            JubekProperties properties) {
        this.mailboxes = mailboxes;
        this.access = access;
        this.sessions = sessions;
        this.stops = stops;
        this.words = words;
        this.named = new TreeMap<>(properties.testSenders());
    }

    /** Who sends, and by which server. */
    sealed interface Sender {
        MailAddress address();
    }

    private record FromMailbox(MailAddress address, Mailbox mailbox) implements Sender {}

    private record FromAccount(MailAddress address, TestSender account) implements Sender {}

    /** Addresses to choose from; the server of one of the settings may take any other. */
    record Offered(List<String> addresses, boolean any) {}

    Offered offered(SignedIn who, Mailbox to) {
        List<String> addresses = Stream.concat(
                        others(who, to).map(other -> other.own().identity().address()),
                        named.values().stream()
                                .flatMap(sender -> sender.addresses().stream())
                                .filter(address -> !address.equals(TestSender.ANY)))
                .distinct()
                .toList();
        return new Offered(addresses, named.values().stream().anyMatch(TestSender::writesAsAny));
    }

    private Stream<Mailbox> others(SignedIn who, Mailbox to) {
        List<UUID> own = access.mailboxes(who);
        return mailboxes.all().stream()
                .filter(each -> own.contains(each.id()) && !each.id().equals(to.id()));
    }

    /**
     * @throws Refused when it is the mailbox's own, or no mail can be sent from it
     */
    Sender find(SignedIn who, Mailbox to, MailAddress from) {
        RealTest.toOneself(to.own(), from).ifPresent(why -> {
            throw Refused.invalid(words.of(why), List.of());
        });
        return others(who, to)
                .filter(each -> each.own().identity().key().equals(from.key()))
                .findFirst()
                .<Sender>map(each -> new FromMailbox(each.own().identity(), notStopped(each)))
                .or(() -> account(from).map(account -> new FromAccount(from, account)))
                .orElseThrow(() -> Refused.invalid(
                        "Nothing can be sent from " + from.address()
                                + ": choose another mailbox of yours, or ask for the address to be set up for tests.",
                        List.of()));
    }

    private Mailbox notStopped(Mailbox from) {
        if (stops.of(from.id()).isPresent()) {
            throw Refused.conflict(
                    "Nothing leaves " + from.own().identity().address()
                            + " just now, as somebody stopped its mail: let it go on first, or choose another address.",
                    Map.of());
        }
        return from;
    }

    private Optional<TestSender> account(MailAddress from) {
        return named.values().stream()
                .filter(sender -> sender.writesAsAny()
                        || sender.addresses().stream()
                                .anyMatch(each -> MailAddress.of(each).key().equals(from.key())))
                .findFirst();
    }

    void send(Sender sender, Cleared cleared, ByteSource bytes) throws IOException, SmtpFault {
        Outgoing test = cleared.outgoing();
        String from = sender.address().address();
        String to = test.recipient().address();
        if (sender instanceof FromMailbox of) {
            sessions.send(of.mailbox(), from, to, bytes);
        } else if (sender instanceof FromAccount of) {
            TestSender account = of.account();
            try (SmtpSession session = SmtpSession.open(server(sender), account.user(), account.password())) {
                session.send(from, to, bytes);
            }
        }
    }

    /** The server that it is sent by. */
    static MailServer server(Sender sender) {
        if (sender instanceof FromMailbox of) {
            return of.mailbox().smtp();
        }
        TestSender account = ((FromAccount) sender).account();
        return new MailServer(account.smtpHost(), account.smtpPort());
    }
}
