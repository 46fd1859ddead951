package app.jubek.server.realtest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.outgoing.Stamp;
import app.jubek.core.people.OwnSide;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.realtest.RealTest;
import app.jubek.core.realtest.TestMessage;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.safety.Clearance;
import app.jubek.core.safety.Cleared;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.text.Limits;
import app.jubek.core.view.MessageContext;
import app.jubek.server.account.SignedIn;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.deciding.DecisionContexts;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.CpuBudget;
import app.jubek.server.platform.Refused;
import app.jubek.server.replyhistory.StoredReplyHistory;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.smtp.SmtpFault;
import app.jubek.server.testmail.SentTest;
import app.jubek.server.testmail.TestMail;
import app.jubek.server.trial.TrialRuns;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Sends the messages of trials as real ones, from another address, through the real servers. */
@Service
class RealTests {
    private static final int AT_ONCE = 20;
    private static final int WITHIN_AN_HOUR = 100;

    private final TrialRuns trials;
    private final TestMail tests;
    private final TestSenders senders;
    private final Mailboxes mailboxes;
    private final RuleBooks books;
    private final AddressBooks people;
    private final DecisionContexts contexts;
    private final StoredReplyHistory history;
    private final Clock clock;
    private final MessageReading reading = new MessageReading(Limits.standard());

    RealTests(
            TrialRuns trials,
            TestMail tests,
            TestSenders senders,
            Mailboxes mailboxes,
            RuleBooks books,
            AddressBooks people,
            DecisionContexts contexts,
            StoredReplyHistory history,
            Clock clock) {
        this.trials = trials;
        this.tests = tests;
        this.senders = senders;
        this.mailboxes = mailboxes;
        this.books = books;
        this.people = people;
        this.contexts = contexts;
        this.history = history;
        this.clock = clock;
    }

    /** A trial that could be sent, or the reason why not. */
    record Possible(TrialRuns.Readable kept, String messageId, UUID id, byte[] bytes, MailAddress to, RealTest test) {}

    /**
     * Every trial as it would come out if it were sent now.
     *
     * @throws Refused when nothing can be sent from the address
     */
    List<Possible> possible(SignedIn who, UUID mailbox, MailAddress from) {
        Mailbox to = mailboxes.find(mailbox);
        return possible(to, senders.find(who, to, from).address());
    }

    private List<Possible> possible(Mailbox to, MailAddress from) {
        Instant now = clock.instant();
        RuleBook book = books.current(to.id()).book();
        MessageContext context = to.contextOfInbox(people.of(to.id()), now);
        DecisionContext trying = contexts.withEverybodyAgreed(to, context);
        DecisionContext arriving = contexts.ofArrival(to, context, history.of(to.id(), List.of(from.key())));
        RealTest.Judge judge = new RealTest.Judge(book, trying, arriving);
        return trials.readable(to.id()).stream()
                .map(kept -> {
                    ReadMessage original = kept.trial().seen().message();
                    UUID id = UUID.randomUUID();
                    MailAddress address = address(original, to.own());
                    Stamp stamp =
                            new Stamp(from, address, TestMessage.messageId(id.toString(), from), now.atZone(to.zone()));
                    byte[] bytes = TestMessage.bytes(original, to.own(), stamp);
                    RealTest test = judge.of(kept.trial(), read(TestMessage.asItComesIn(bytes, from)));
                    return new Possible(kept, stamp.messageId(), id, bytes, address, test);
                })
                .toList();
    }

    /** Mail servers lead aliases to the mailbox, which is a part of what is tested. */
    private static MailAddress address(ReadMessage original, OwnSide own) {
        return Stream.of(Role.TO, Role.CC)
                .flatMap(role -> original.in(role).stream())
                .filter(own::isOwn)
                .findFirst()
                .orElse(own.identity());
    }

    private ReadMessage read(byte[] bytes) {
        try (InputStream in = ByteSource.of(bytes).open()) {
            return reading.read(in, CpuBudget.ofMessage());
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /**
     * Outside any transaction: it talks with the mail server. One that can't be sent keeps no other back.
     *
     * @throws Refused when one of them would prove nothing, or there are too many
     */
    int send(SignedIn who, UUID mailbox, MailAddress from, Collection<UUID> chosen) {
        Mailbox to = mailboxes.find(mailbox);
        TestSenders.Sender sender = senders.find(who, to, from);
        checkNumber(mailbox, chosen.size());
        List<Possible> wanted = possible(to, sender.address()).stream()
                .filter(each -> chosen.contains(each.kept().id()))
                .toList();
        wanted.stream()
                .filter(each -> each.test().against().isPresent())
                .findFirst()
                .ifPresent(each -> {
                    throw Refused.conflict(
                            "“" + each.kept().name() + "” can’t be sent any more; look at the list again.",
                            Map.of("trial", each.kept().id()));
                });
        wanted.forEach(each -> send(each, sender, to, who.shownName()));
        return wanted.size();
    }

    private void checkNumber(UUID mailbox, int chosen) {
        if (chosen == 0 || chosen > AT_ONCE) {
            throw Refused.invalid("Choose from 1 to " + AT_ONCE + " trials.", List.of());
        }
        int before = tests.countSince(mailbox, clock.instant().minus(Duration.ofHours(1)));
        if (before + chosen > WITHIN_AN_HOUR) {
            throw Refused.conflict(
                    "Within an hour " + WITHIN_AN_HOUR + " tests are sent to a mailbox at most. Go on later.",
                    Map.of());
        }
    }

    private void send(Possible test, TestSenders.Sender sender, Mailbox to, String who) {
        Cleared cleared = Clearance.look(new Outgoing.Inside(test.to(), Optional.of(sender.address())), to.own())
                .orElseThrow(() -> Refused.invalid(
                        test.to().address() + " lies outside our own domains: a test goes to own addresses only.",
                        List.of()));
        SentTest sent = new SentTest(
                test.id(),
                to.id(),
                test.kept().id(),
                test.kept().name(),
                sender.address().key(),
                test.messageId(),
                test.kept().trial().rules(),
                test.kept().trial().expectations(),
                clock.instant(),
                who,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        tests.sending(sent);
        SmtpFault.causeOf(() -> senders.send(sender, cleared, ByteSource.of(test.bytes())), TestSenders.server(sender))
                .ifPresent(fault -> tests.failed(sent, fault));
    }
}
