package app.jubek.core.safety;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReturnPath;
import app.jubek.core.message.Role;
import app.jubek.core.message.SentBy;
import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.Refusal;
import app.jubek.core.reading.Origin;
import app.jubek.core.reading.WellKnown;
import app.jubek.core.step.AnswersTo;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Every reason not to answer a message automatically (RFC 3834 §2, RFC 5230 §4.5 and §4.6). */
public final class ReplyGuard {
    private static final List<Role> RECIPIENTS =
            List.of(Role.TO, Role.CC, Role.BCC, Role.RESENT_TO, Role.RESENT_CC, Role.RESENT_BCC);

    private final HopMark hops;

    public ReplyGuard(HopMark hops) {
        this.hops = hops;
    }

    /**
     * @param aliases recipient addresses that the rule names: they count as own
     * @param conversation whether it answers something this mailbox sent, and such are left to people
     * @param to where the answer is to go
     */
    public record Circumstances(OwnSide own, List<MailAddress> aliases, boolean conversation, AnswersTo to) {
        public Circumstances {
            aliases = List.copyOf(aliases);
        }

        /** Whether the message comes from a form that the rule allows by name, so that a machine may have written it. */
        private boolean isForm(ReadMessage message) {
            return to instanceof AnswersTo.InText found && found.isForm(message);
        }
    }

    /** All reasons that hold, most telling first; empty when nothing stands against an answer. */
    public List<Refusal> against(ReadMessage message, Circumstances at) {
        List<Refusal> found = new ArrayList<>();
        path(message).ifPresent(found::add);
        fields(message).forEach(found::add);
        kinds(message).forEach(found::add);
        sender(message, at.own()).forEach(found::add);
        if (!isWrittenToUs(message, at)) {
            found.add(Refusal.of(Reason.NOT_WRITTEN_TO_US));
        }
        if (!hops.passed(message).isEmpty()) {
            found.add(Refusal.of(Reason.HANDED_ON));
        }
        if (at.conversation()) {
            found.add(Refusal.of(Reason.CONVERSATION));
        }
        boolean generated = Origin.autoSubmitted(message.fields())
                .filter(how -> !how.equals("auto-generated"))
                .isEmpty();
        boolean form = at.isForm(message) && generated;
        return Stream.concat(
                        found.stream()
                                .filter(refusal -> !(form && refusal.reason().isOfAMachine())),
                        recipient(message, at).stream())
                .toList();
    }

    /** Who would get the answer, where that is not the sender: there has to be one, and no machine and not ourselves. */
    private static Optional<Refusal> recipient(ReadMessage message, Circumstances at) {
        Optional<MailAddress> to = at.to().in(message);
        if (to.filter(address -> !address.canBeSentTo()).isPresent()) {
            return Optional.of(Refusal.of(Reason.ADDRESS_UNUSABLE, to.get().address()));
        }
        if (at.to() == AnswersTo.Header.RETURN_PATH) {
            return Optional.empty();
        }
        if (to.isEmpty()) {
            return Optional.of(Refusal.of(Reason.NOBODY_TO_ANSWER, at.to().statement()));
        }
        List<MailAddress> one = List.of(to.get());
        return first(one, WellKnown::isSystem, Reason.SYSTEM_SENDER)
                .or(() -> first(one, WellKnown::isPostmaster, Reason.POSTMASTER))
                .or(() -> first(one, at.own()::isOwn, Reason.OWN_SENDER))
                .or(() -> first(one, WellKnown::isNoReply, Reason.NO_REPLY_SENDER));
    }

    private static Optional<Refusal> path(ReadMessage message) {
        if (message.returnPath() instanceof ReturnPath.Null) {
            return Optional.of(Refusal.of(Reason.NULL_RETURN_PATH));
        }
        return message.returnPath() instanceof ReturnPath.Absent
                ? Optional.of(Refusal.of(Reason.NO_RETURN_PATH))
                : Optional.empty();
    }

    private static List<Refusal> fields(ReadMessage message) {
        List<Refusal> found = new ArrayList<>();
        Origin.autoSubmitted(message.fields()).ifPresent(how -> found.add(Refusal.of(Reason.AUTOMATIC, how)));
        message.fields().stream()
                .filter(f -> Origin.isListField(f.name()))
                .findFirst()
                .ifPresent(f -> found.add(Refusal.of(Reason.LIST, f.name())));
        Origin.precedence(message.fields()).ifPresent(how -> found.add(Refusal.of(Reason.MASS_MAIL, how)));
        if (isSpam(message)) {
            found.add(Refusal.of(Reason.SPAM));
        }
        return found;
    }

    private static boolean isSpam(ReadMessage message) {
        return message.values("X-Spam-Flag").stream().anyMatch(v -> v.equalsIgnoreCase("yes"))
                || message.values("X-Spam-Status").stream().anyMatch(v -> v.regionMatches(true, 0, "yes", 0, 3));
    }

    private static List<Refusal> kinds(ReadMessage message) {
        List<Refusal> found = new ArrayList<>();
        boolean nullPath = message.returnPath() instanceof ReturnPath.Null;
        if (message.sentBy().contains(SentBy.BOUNCE) && !nullPath) {
            found.add(Refusal.of(Reason.REPORT));
        }
        if (message.sentBy().contains(SentBy.CALENDAR)) {
            found.add(Refusal.of(Reason.CALENDAR));
        }
        return found;
    }

    private static List<Refusal> sender(ReadMessage message, OwnSide own) {
        List<Refusal> found = new ArrayList<>();
        if (message.in(Role.FROM).size() != 1) {
            found.add(Refusal.of(Reason.NOT_ONE_SENDER));
        }
        List<MailAddress> senders = Stream.concat(
                        message.in(Role.FROM).stream(), message.returnPath().address().stream())
                .toList();
        first(senders, WellKnown::isSystem, Reason.SYSTEM_SENDER).ifPresent(found::add);
        first(senders, WellKnown::isNoReply, Reason.NO_REPLY_SENDER).ifPresent(found::add);
        first(senders, WellKnown::isPostmaster, Reason.POSTMASTER).ifPresent(found::add);
        first(senders, own::isOwn, Reason.OWN_SENDER).ifPresent(found::add);
        return found;
    }

    private static Optional<Refusal> first(
            List<MailAddress> senders, java.util.function.Predicate<MailAddress> bad, Reason reason) {
        return senders.stream().filter(bad).findFirst().map(address -> Refusal.of(reason, address.address()));
    }

    private static boolean isWrittenToUs(ReadMessage message, Circumstances at) {
        Stream<MailAddress> named = RECIPIENTS.stream().flatMap(role -> message.in(role).stream());
        return Stream.concat(named, message.deliveredTo().stream())
                .anyMatch(address ->
                        at.own().isOwn(address) || at.aliases().stream().anyMatch(address::sameAs));
    }
}
