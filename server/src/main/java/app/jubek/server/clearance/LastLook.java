package app.jubek.server.clearance;

import app.jubek.core.people.Agreements;
import app.jubek.core.plan.Reason;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.Clearance;
import app.jubek.core.step.Release;
import app.jubek.server.agreement.StoredAgreements;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.testmail.TestMail;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Whether something may leave, as the world is at this moment; to be asked under the mailbox's lock. */
@Component
public class LastLook {
    private final SentSoFar sent;
    private final RuleBooks books;
    private final StoredAgreements agreements;
    private final TestMail tests;
    private final Clock clock;

    LastLook(SentSoFar sent, RuleBooks books, StoredAgreements agreements, TestMail tests, Clock clock) {
        this.sent = sent;
        this.books = books;
        this.agreements = agreements;
        this.tests = tests;
        this.clock = clock;
    }

    public Clearance.Verdict at(Leaving leaving, Mailbox mailbox) {
        return Clearance.look(leaving.outgoing(), now(leaving, mailbox));
    }

    private Clearance.Now now(Leaving leaving, Mailbox mailbox) {
        RuleId acting = new RuleId(leaving.rule());
        RuleBook book = books.current(mailbox.id()).book();
        Optional<Rule> rule = book.find(acting);
        Instant now = clock.instant();
        return new Clearance.Now(
                mailbox.own(),
                leaving.kind().handsOn() ? agreements.of(mailbox.id()) : Agreements.none(),
                rule.filter(found -> found.on() || tests.isFor(leaving.message(), acting))
                        .isPresent(),
                rule.filter(book.tail()::contains)
                        .filter(found -> found.schedule().isOver(now, mailbox.opening()))
                        .isPresent(),
                opens(leaving, mailbox, now),
                leaving.approved() ? Optional.empty() : awaited(leaving, rule, mailbox),
                leaving.approved(),
                leaving.restored(),
                Clearance.isOverLate(leaving.releaseAt().orElse(leaving.received()), now),
                mailbox.limits(),
                sent.lastHour(mailbox.id(), leaving, now));
    }

    /** Hours and closed days may have been changed since it was planned. */
    private static Optional<Instant> opens(Leaving leaving, Mailbox mailbox, Instant now) {
        return Optional.of(leaving.release())
                .filter(Release::isAtOpening)
                .flatMap(release -> release.due(leaving.planned(), mailbox.opening(), 0))
                .filter(now::isBefore);
    }

    /** The substitute agrees for all that waits. */
    private Optional<Reason> awaited(Leaving leaving, Optional<Rule> rule, Mailbox mailbox) {
        Release release = leaving.release();
        boolean agreed = release == Release.Plain.ONCE_AGREED
                && rule.filter(found -> found.steps().stream().noneMatch(step -> step.release() == release))
                        .isPresent();
        if (agreed) {
            return Optional.empty();
        }
        int approved = release == Release.Plain.FIRST_ON_APPROVAL
                ? sent.approved(mailbox.id(), leaving.rule(), leaving.kind())
                : 0;
        boolean waits =
                release.due(leaving.planned(), mailbox.opening(), approved).isEmpty();
        return waits ? Optional.of(Reason.awaitedBy(release)) : Optional.empty();
    }
}
