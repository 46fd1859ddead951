package app.jubek.core.decide;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.explain.Hits;
import app.jubek.core.view.MessageView;
import java.util.Optional;

/** Which of the values that a rule lists a message has; of several, the one listed first. */
record MatchedValues(Criterion picksOut, MessageView message) {
    /** The sender as the rule names it; the sender's address where it names none. */
    Optional<String> sender() {
        return first(true).or(() -> message.message().sender().map(MailAddress::key));
    }

    /** A phrase or an address other than a sender's. */
    Optional<String> value() {
        return first(false);
    }

    private Optional<String> first(boolean sender) {
        return picksOut.tests().stream()
                .filter(test -> !test.negated() && isOfSender(test) == sender)
                .flatMap(test -> Hits.in(test, message))
                .findFirst();
    }

    private static boolean isOfSender(SimpleCriterion test) {
        return test instanceof AddressCriterion address && address.part() == AddressCriterion.AddressField.SENDER;
    }
}
