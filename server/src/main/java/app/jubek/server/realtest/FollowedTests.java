package app.jubek.server.realtest;

import app.jubek.core.realtest.Following;
import app.jubek.core.realtest.RealTestPhrase;
import app.jubek.core.trial.Names;
import app.jubek.core.wording.Statement;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.folders.ImapRefused;
import app.jubek.server.folders.Removal;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.ServerTrouble;
import app.jubek.server.queue.Outbox;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.step.StepView;
import app.jubek.server.template.Templates;
import app.jubek.server.testmail.SentTest;
import app.jubek.server.testmail.TestMail;
import jakarta.mail.MessagingException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** How far tests have come that were sent, and what is removed after them. */
@Service
class FollowedTests {
    private static final int SHOWN = 50;

    private final TestMail tests;
    private final Outbox outbox;
    private final Mailboxes mailboxes;
    private final MailboxAccess access;
    private final RuleBooks books;
    private final Templates templates;
    private final Removal removal;
    private final Clock clock;

    FollowedTests(
            TestMail tests,
            Outbox outbox,
            Mailboxes mailboxes,
            MailboxAccess access,
            RuleBooks books,
            Templates templates,
            Removal removal,
            Clock clock) {
        this.tests = tests;
        this.outbox = outbox;
        this.mailboxes = mailboxes;
        this.access = access;
        this.books = books;
        this.templates = templates;
        this.removal = removal;
        this.clock = clock;
    }

    /**
     * @param unmet what is not so that must be
     */
    record Followed(SentTest sent, List<Following.Line> lines, List<Statement> unmet) {
        boolean isOpen() {
            return Following.isOpen(lines);
        }
    }

    /** The newest first. */
    List<Followed> latest(UUID mailbox) {
        return followed(mailbox, tests.latest(mailbox, SHOWN));
    }

    private List<Followed> followed(UUID mailbox, List<SentTest> sent) {
        Map<Long, List<StepView>> steps = outbox.ofMessages(
                mailbox, sent.stream().flatMap(test -> message(test).stream()).toList());
        Map<UUID, List<TestMail.Sighting>> seen = tests
                .sightings(sent.stream().map(SentTest::id).toList())
                .stream()
                .collect(Collectors.groupingBy(TestMail.Sighting::test));
        Map<UUID, Set<String>> readHere = mailboxes.all().stream()
                .collect(Collectors.toMap(Mailbox::id, each -> each.own().keys()));
        Names names = new Names(books.current(mailbox).book(), templates.of(mailbox));
        return sent.stream()
                .map(test -> {
                    List<StepView> own = message(test).map(steps::get).orElse(List.of());
                    List<TestMail.Sighting> elsewhere = seen.getOrDefault(test.id(), List.of());
                    return new Followed(
                            test, following(test, own, elsewhere, readHere).lines(), unmet(test, names));
                })
                .toList();
    }

    private static Optional<Long> message(SentTest test) {
        return test.cameIn().flatMap(SentTest.CameIn::message);
    }

    private static List<Statement> unmet(SentTest test, Names names) {
        return test.cameIn().stream()
                .flatMap(came -> came.unmet().stream())
                .map(each -> each.statement(names))
                .toList();
    }

    private Following following(
            SentTest test, List<StepView> steps, List<TestMail.Sighting> elsewhere, Map<UUID, Set<String>> readHere) {
        return new Following(
                test.at(),
                test.fault(),
                test.cameIn().map(SentTest.CameIn::at),
                steps.stream().map(FollowedTests::step).toList(),
                elsewhere.stream()
                        .map(each -> new Following.Seen(
                                readHere.getOrDefault(each.mailbox(), Set.of()),
                                each.sender(),
                                each.subject(),
                                each.at()))
                        .toList(),
                readHere.values().stream().flatMap(Set::stream).collect(Collectors.toSet()),
                clock.instant());
    }

    private static Following.Step step(StepView step) {
        boolean leaves = step.kind().leaves();
        return new Following.Step(
                step.done(),
                leaves ? step.recipient().toLowerCase(Locale.ROOT) : "",
                step.state(),
                step.settledAt(),
                step.because());
    }

    /**
     * @param removed messages
     * @param left what could not be removed, and why
     */
    record Cleaned(int removed, List<Statement> left) {}

    /** Removes tests and what came of them from the person's mailboxes that are read here. */
    Cleaned cleanUp(SignedIn who, UUID mailbox, Collection<UUID> ids) {
        List<UUID> own = access.mailboxes(who);
        List<Statement> left = new ArrayList<>();
        int removed = 0;
        for (Followed test : followed(mailbox, tests.find(mailbox, ids))) {
            if (test.isOpen()) {
                left.add(RealTestPhrase.STILL_UNDER_WAY.with(test.sent().name()));
            } else {
                removed += cleaned(test.sent(), own, left);
            }
        }
        return new Cleaned(removed, left.stream().distinct().toList());
    }

    private int cleaned(SentTest test, List<UUID> own, List<Statement> left) {
        List<TestMail.Sighting> seen = tests.sightings(List.of(test.id()));
        int before = left.size();
        int removed = 0;
        for (Mailbox each : mailboxes.all()) {
            List<String> here = seen.stream()
                    .filter(sighting -> sighting.mailbox().equals(each.id()))
                    .map(TestMail.Sighting::messageId)
                    .toList();
            if (own.contains(each.id())) {
                removed += removed(each, Stream.concat(Stream.of(test.messageId()), here.stream()), left);
            } else if (!here.isEmpty()) {
                left.add(RealTestPhrase.LEFT_WITH_OTHERS.with(
                        each.own().identity().address()));
            }
        }
        if (left.size() == before) {
            tests.cleaned(test);
        }
        return removed;
    }

    private int removed(Mailbox from, Stream<String> messageIds, List<Statement> left) {
        int removed = 0;
        for (String id : messageIds.distinct().toList()) {
            try {
                removed += removal.ofAll(from, id);
            } catch (ImapRefused refused) {
                left.add(notRemoved(from, refused.trouble().cause()));
            } catch (MessagingException broken) {
                left.add(notRemoved(from, ServerTrouble.of(broken, from.imap()).cause()));
            }
        }
        return removed;
    }

    private static Statement notRemoved(Mailbox from, Statement cause) {
        return RealTestPhrase.NOT_REMOVED.with(from.own().identity().address(), cause);
    }
}
