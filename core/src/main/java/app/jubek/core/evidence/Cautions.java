package app.jubek.core.evidence;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.Rule;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What a person should know of whom a rule hands mail to, before the rule is saved. */
public final class Cautions {
    private enum Caution implements Code {
        /** The addresses. */
        HANDS_BACK,
        /** Whom, so many messages, the other rule. */
        ALSO_HANDED_ON
    }

    private record Shared(String recipient, String rule) {}

    private Cautions() {}

    /** In the order in which they weigh; empty when there is nothing to say. */
    public static List<Statement> of(Evidence evidence, OwnSide own) {
        List<Statement> cautions = new ArrayList<>();
        List<String> back = evidence.edited()
                .handsOn()
                .flatMap(step -> step.to().stream())
                .filter(own::isOwn)
                .map(MailAddress::address)
                .distinct()
                .toList();
        if (!back.isEmpty()) {
            cautions.add(Caution.HANDS_BACK.with(Argument.and(back)));
        }
        shared(evidence)
                .forEach((shared, messages) ->
                        cautions.add(Caution.ALSO_HANDED_ON.with(shared.recipient(), messages, shared.rule())));
        return cautions;
    }

    /** Who would get the same message by another rule, too, and how many of them. */
    private static Map<Shared, Integer> shared(Evidence evidence) {
        Set<String> ours = recipients(evidence.edited());
        Map<Shared, Integer> found = new LinkedHashMap<>();
        if (ours.isEmpty()) {
            return found;
        }
        evidence.results().stream()
                .filter(result -> result.counters().contains(Counter.PICKED))
                .flatMap(result -> evidence.takenBy(result).stream())
                .filter(rule -> !rule.id().equals(evidence.edited().id()))
                .forEach(rule -> recipients(rule).stream()
                        .filter(ours::contains)
                        .forEach(recipient -> found.merge(new Shared(recipient, rule.name()), 1, Integer::sum)));
        return found;
    }

    private static Set<String> recipients(Rule rule) {
        Set<String> recipients = new LinkedHashSet<>();
        rule.handsOn().forEach(step -> {
            step.to().forEach(to -> recipients.add(to.key()));
            recipients.addAll(step.groups());
        });
        return recipients;
    }
}
