package app.jubek.core.evidence;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.safety.Limits;
import app.jubek.core.step.StepKind;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/** What rules would have sent at most about past mail; the guards would have withheld some of it. */
public final class WouldLeave {
    private WouldLeave() {}

    /**
     * @param picks where the messages are that a rule picks
     * @return the earliest first
     */
    public static List<Limits.Leaving> of(
            RuleBook book, AddressBook people, Corpus.View past, Function<Rule, BitSet> picks) {
        return book.rules().stream()
                .filter(Rule::on)
                .flatMap(rule -> of(rule, people, past, picks))
                .sorted(Comparator.comparing(Limits.Leaving::at))
                .toList();
    }

    private static Stream<Limits.Leaving> of(
            Rule rule, AddressBook people, Corpus.View past, Function<Rule, BitSet> picks) {
        List<String> handedOn = rule.handsOn()
                .flatMap(step -> people.everybody(step.to(), step.groups()).stream())
                .map(MailAddress::key)
                .distinct()
                .toList();
        boolean replies = rule.steps().stream().anyMatch(step -> step.kind() == StepKind.REPLY);
        if (handedOn.isEmpty() && !replies) {
            return Stream.empty();
        }
        return picks.apply(rule).stream()
                .mapToObj(past::message)
                .flatMap(message -> of(rule, message, handedOn, replies));
    }

    private static Stream<Limits.Leaving> of(Rule rule, PastMessage message, List<String> handedOn, boolean replies) {
        String sender = message.senderKey();
        Stream<String> answered = replies ? Stream.of(sender) : Stream.empty();
        return Stream.concat(handedOn.stream(), answered)
                .map(to -> new Limits.Leaving(message.received(), rule.id().value(), to, sender));
    }
}
