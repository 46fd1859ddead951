package app.jubek.server.realtest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Sending;
import app.jubek.core.realtest.Following;
import app.jubek.core.trial.TrialResult;
import app.jubek.core.wording.Statement;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.mailbox.Mailboxes;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Trials sent as real messages. */
@RestController
class RealTestController {
    private final RealTests tests;
    private final FollowedTests followed;
    private final TestSenders senders;
    private final Mailboxes mailboxes;

    RealTestController(RealTests tests, FollowedTests followed, TestSenders senders, Mailboxes mailboxes) {
        this.tests = tests;
        this.followed = followed;
        this.senders = senders;
        this.mailboxes = mailboxes;
    }

    /**
     * @param any whether any other address will do
     */
    record TestSendersView(List<String> addresses, boolean any) {}

    @GetMapping("/api/mailboxes/{mailbox}/real-tests/senders")
    TestSendersView testSenders(@AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox) {
        TestSenders.Offered offered = senders.offered(who, mailboxes.find(mailbox));
        return new TestSendersView(offered.addresses(), offered.any());
    }

    /**
     * @param sender of its message
     * @param against why sending it would prove nothing
     * @param happens what is to come of it
     * @param leavesTo whom something reaches by it
     */
    record PossibleTest(
            String trial,
            String name,
            String sender,
            Optional<Statement> against,
            List<Statement> happens,
            List<String> leavesTo) {}

    /** Every trial: whether it can be sent from an address, and what would come of it. */
    @GetMapping("/api/mailboxes/{mailbox}/real-tests/possible")
    List<PossibleTest> possibleTests(
            @AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, @RequestParam String from) {
        return tests.possible(who, mailbox, MailAddress.of(from)).stream()
                .map(each -> new PossibleTest(
                        each.kept().id().toString(),
                        each.kept().name(),
                        each.kept()
                                .trial()
                                .seen()
                                .message()
                                .sender()
                                .map(MailAddress::address)
                                .orElse(""),
                        each.test().against(),
                        each.test().expected().happens().stream()
                                .map(TrialResult.Happening::what)
                                .toList(),
                        leavesTo(each.test().expected())))
                .toList();
    }

    private static List<String> leavesTo(TrialResult expected) {
        return expected.decision().planned().stream()
                .map(PlannedStep::sending)
                .flatMap(Optional::stream)
                .map(Sending::to)
                .map(MailAddress::address)
                .distinct()
                .toList();
    }

    /**
     * @param from the address to send from
     */
    record TestSending(String from, List<UUID> trials) {}

    record TestsSent(int sent) {}

    @PostMapping("/api/mailboxes/{mailbox}/real-tests")
    TestsSent sendTests(
            @AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, @RequestBody TestSending sending) {
        return new TestsSent(tests.send(who, mailbox, MailAddress.of(sending.from()), sending.trials()));
    }

    /**
     * @param what a step; empty for the message itself
     */
    record FollowedLine(Optional<Statement> what, Following.Stand stand, Statement how) {}

    /**
     * @param open whether something is still to be waited for
     * @param unmet what is not so that must be
     */
    record RealTestView(
            String id,
            String trial,
            String name,
            String sender,
            Instant at,
            String by,
            List<FollowedLine> lines,
            boolean open,
            boolean cameIn,
            List<Statement> unmet,
            Optional<Instant> cleanedAt) {}

    /** The last ones, the newest first. */
    @GetMapping("/api/mailboxes/{mailbox}/real-tests")
    List<RealTestView> realTests(@Allowed UUID mailbox) {
        return followed.latest(mailbox).stream()
                .map(each -> new RealTestView(
                        each.sent().id().toString(),
                        each.sent().trial().toString(),
                        each.sent().name(),
                        each.sent().sender(),
                        each.sent().at(),
                        each.sent().by(),
                        each.lines().stream()
                                .map(line -> new FollowedLine(line.what(), line.stand(), line.how()))
                                .toList(),
                        each.isOpen(),
                        each.sent().cameIn().isPresent(),
                        each.unmet(),
                        each.sent().cleaned()))
                .toList();
    }

    record TestsCleaned(int removed, List<Statement> left) {}

    /** Removes them and what came of them from the mailboxes that are read here. */
    @PostMapping("/api/mailboxes/{mailbox}/real-tests/cleaned")
    TestsCleaned cleanUpTests(
            @AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, @RequestBody List<UUID> ids) {
        FollowedTests.Cleaned cleaned = followed.cleanUp(who, mailbox, ids);
        return new TestsCleaned(cleaned.removed(), cleaned.left());
    }
}
