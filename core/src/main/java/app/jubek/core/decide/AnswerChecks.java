package app.jubek.core.decide;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.Refusal;
import app.jubek.core.rule.Rule;
import app.jubek.core.safety.ReplyGuard;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.view.MessageView;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What speaks against a rule's answer to one message: the message itself, its folder and the answers given before. */
final class AnswerChecks {
    private final MessageView view;
    private final ReadMessage message;
    private final DecisionContext at;
    private final ReplyGuard replies;

    AnswerChecks(MessageView view, DecisionContext at) {
        this.view = view;
        this.message = view.message();
        this.at = at;
        this.replies = new ReplyGuard(at.hops());
    }

    /** The first reason, most telling first. */
    Optional<Refusal> against(Rule rule, ReplyOptions options) {
        return byItself(rule, options)
                .or(() -> at.history()
                        .against(
                                ReplyHistory.key(rule.id(), options),
                                options.frequency(),
                                ReplyHistory.senders(message, options.to()),
                                at.now()));
    }

    /** The first reason in the message itself, whoever was answered before. */
    Optional<Refusal> byItself(Rule rule, ReplyOptions options) {
        ReplyGuard.Circumstances circumstances = new ReplyGuard.Circumstances(
                at.own(),
                aliases(rule, options),
                at.context().conversation() && !options.inConversations(),
                options.to());
        return spam().or(() -> replies.against(message, circumstances).stream().findFirst());
    }

    /** What a mail server takes for junk may well come from another sender than it says. */
    private Optional<Refusal> spam() {
        return at.context().junk() ? Optional.of(Refusal.of(Reason.SPAM)) : Optional.empty();
    }

    /**
     * Whether the rule would pick the message from the address that gets the answer, too: From can be forged, to have the
     * documents sent elsewhere. A form's mail is answered at the address in its text by the rule's own choice.
     */
    boolean isPickedFrom(Rule rule, ReplyOptions options, MailAddress to) {
        boolean written = message.in(Role.FROM).stream().allMatch(to::sameAs);
        if (written || options.to() instanceof AnswersTo.InText) {
            return true;
        }
        String name = message.sender().map(MailAddress::name).orElse("");
        MessageView fromThere = new MessageView(message.writtenBy(to.named(name)), at.context(), view.budget());
        return rule.picksOut().holds(fromThere) && !rule.leavesOut().holds(fromThere);
    }

    /** Recipient addresses that the rule names, and those its answer counts as ours. */
    static List<MailAddress> aliases(Rule rule, ReplyOptions options) {
        Stream<MailAddress> named = rule.picksOut().tests().stream()
                .filter(test -> test instanceof AddressCriterion address
                        && (address.part() == AddressCriterion.AddressField.RECIPIENT
                                || address.part() == AddressCriterion.AddressField.TO)
                        && address.how() == AddressCriterion.AddressMatch.IS
                        && !address.negated())
                .flatMap(test -> ((AddressCriterion) test).values().stream())
                .map(MailAddress::of);
        return Stream.concat(named, options.aliases().stream()).toList();
    }
}
