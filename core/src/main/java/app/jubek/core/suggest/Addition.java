package app.jubek.core.suggest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.explain.NearMiss;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.Rule;
import app.jubek.core.text.WhiteSpace;
import app.jubek.core.view.MessageView;
import java.util.Comparator;
import java.util.Optional;

/**
 * One value more, with which a rule takes a message that it nearly takes.
 *
 * @param value what is added, as a person would write it
 * @param to the criterion it is added to, as it was
 */
public record Addition(Rule changed, String value, Criterion to) {

    /** Empty when the rule takes the message, or is not near it, or more than a value would have to change. */
    public static Optional<Addition> of(Rule rule, MessageView seen, OwnSide own) {
        return NearMiss.of(rule.picksOut(), seen)
                .or(() -> NearMiss.byOneWord(rule.picksOut(), seen))
                .filter(failing ->
                        failing instanceof SimpleCriterion test && OneValueMore.isPossible(rule.picksOut(), test))
                .flatMap(failing -> value((SimpleCriterion) failing, seen.message(), own)
                        .map(v -> added(rule, (SimpleCriterion) failing, v)));
    }

    private static Optional<String> value(SimpleCriterion failing, ReadMessage message, OwnSide own) {
        if (failing instanceof AddressCriterion test && test.part() == AddressCriterion.AddressField.SENDER) {
            return message.sender()
                    .filter(MailAddress::canBeSentTo)
                    .map(sender -> test.how() == AddressCriterion.AddressMatch.IS ? sender.key() : sender.domain());
        }
        if (failing instanceof AddressCriterion test && test.how() == AddressCriterion.AddressMatch.IS) {
            return message.recipients().stream()
                    .filter(to -> !to.sameAs(own.identity()) && to.canBeSentTo())
                    .map(MailAddress::key)
                    .findFirst();
        }
        return failing instanceof TextCriterion ? phrase(message, own) : Optional.empty();
    }

    private static Optional<String> phrase(ReadMessage message, OwnSide own) {
        return new Phrases(own).in(message.subject()).values().stream().max(Comparator.comparingInt(Addition::saying));
    }

    /** Two or three words say most. */
    static int saying(String phrase) {
        int words = WhiteSpace.words(phrase).size();
        return 100 * Math.min(words, 2) - 10 * Math.max(0, words - 3) + Math.min(phrase.length(), 40) / 4;
    }

    private static Addition added(Rule rule, SimpleCriterion failing, String value) {
        Criterion picksOut = OneValueMore.in(rule.picksOut(), failing, value);
        Rule changed = rule.pickingOut(picksOut);
        return new Addition(changed, value, failing);
    }
}
