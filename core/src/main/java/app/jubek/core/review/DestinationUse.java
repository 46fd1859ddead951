package app.jubek.core.review;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * An address, and the rules that would send it mail: forwards, redirects and copies of answers, also to everybody in a
 * group. Who is answered has written first, and is not meant; nor are the mailbox's own addresses.
 *
 * @param inside in a domain of ours
 */
public record DestinationUse(MailAddress address, boolean inside, List<Rule> rules) {
    public DestinationUse {
        rules = List.copyOf(rules);
    }

    /** Whether one of the rules is on. */
    public boolean isLive() {
        return rules.stream().anyMatch(Rule::on);
    }

    /** Each address once, in the order of the rules; rules that are off are meant, too. */
    public static List<DestinationUse> of(RuleBook book, AddressBook people, OwnSide own) {
        Map<String, MailAddress> addresses = new LinkedHashMap<>();
        Map<String, List<Rule>> rules = new LinkedHashMap<>();
        for (Rule rule : book.rules()) {
            rule.steps().stream()
                    .flatMap(step -> destinations(step, people))
                    .filter(to -> !own.isOwn(to))
                    .distinct()
                    .forEach(to -> {
                        addresses.putIfAbsent(to.key(), to);
                        List<Rule> using = rules.computeIfAbsent(to.key(), key -> new ArrayList<>());
                        if (!using.contains(rule)) {
                            using.add(rule);
                        }
                    });
        }
        return addresses.entrySet().stream()
                .map(each ->
                        new DestinationUse(each.getValue(), own.isInside(each.getValue()), rules.get(each.getKey())))
                .toList();
    }

    private static Stream<MailAddress> destinations(Step step, AddressBook people) {
        if (step instanceof Step.HandOn handOn) {
            return people.everybody(handOn.to(), handOn.groups()).stream();
        }
        return step instanceof Step.Reply reply ? reply.options().copies().stream() : Stream.empty();
    }
}
