package app.jubek.core.review;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.AddressCriterion.AddressField;
import app.jubek.core.criteria.AddressCriterion.AddressMatch;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.exchange.Exchange;
import app.jubek.core.exchange.Loops;
import app.jubek.core.exchange.Passed;
import app.jubek.core.review.Finding.Remedy;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.Optional;

/** Findings that show when an exchange is played through. */
final class FromLoops {
    private final RuleBook book;
    private final List<Loops.Tried> tried;

    FromLoops(RuleBook book, List<Loops.Tried> tried) {
        this.book = book;
        this.tried = tried;
    }

    List<Finding> findings() {
        return tried.stream()
                .filter(Loops.Tried::goesRound)
                .flatMap(found -> book.find(found.rule().id()).stream().map(rule -> finding(rule, found)))
                .toList();
    }

    private Finding finding(Rule rule, Loops.Tried found) {
        Exchange exchange = found.exchange().orElseThrow();
        MailAddress mailbox = found.mailbox().identity();
        List<MailAddress> answering = exchange.answering(mailbox);
        Statement cause = found.isEndless() ? endless(answering) : round(exchange, mailbox);
        Sort sort = found.isEndless() ? Sort.LOOP_WITHOUT_END : Sort.GOES_ROUND;
        return new Finding(sort, rule.id(), cause, Optional.empty(), remedy(rule, answering));
    }

    private static Statement endless(List<MailAddress> answering) {
        return answering.isEmpty()
                ? FindingText.GOES_ON_FOR_EVER.with()
                : FindingText.HANDED_ON_FOR_EVER.with(named(answering));
    }

    private static Statement round(Exchange exchange, MailAddress mailbox) {
        long sent = exchange.messages().stream()
                .filter(passed -> passed.by() instanceof Passed.By.OfRule)
                .count();
        return exchange.endedAt(mailbox)
                .map(ended -> FindingText.SENT_AGAIN_UNTIL.with((int) sent, ended.statement()))
                .orElseGet(() -> FindingText.SENT_AGAIN.with((int) sent));
    }

    /** Answers are to go to people, and not on to others; of a reply the senders are not known beforehand. */
    private Optional<Remedy> remedy(Rule rule, List<MailAddress> answering) {
        boolean handsOn = rule.handsOn().findAny().isPresent();
        return handsOn && !answering.isEmpty()
                ? Optional.of(new Remedy(
                        RemedyText.LEAVE_OUT_THEIR_MAIL.with(named(answering)),
                        Books.with(book, rule, r -> r.leavingOut(withMailOf(answering, r.leavesOut())))))
                : Optional.empty();
    }

    private static Criterion withMailOf(List<MailAddress> senders, Criterion exceptions) {
        Criterion theirs = new AddressCriterion(
                AddressField.SENDER,
                AddressMatch.IS,
                senders.stream().map(MailAddress::address).toList(),
                false);
        return Group.either(exceptions, theirs);
    }

    private static Argument named(List<MailAddress> addresses) {
        return Argument.and(addresses.stream().map(MailAddress::address).toList());
    }
}
