package app.jubek.core.decide;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.InHand;
import app.jubek.core.criteria.Test;
import app.jubek.core.criteria.TextTest;
import java.util.Optional;
import java.util.stream.IntStream;

/** Which of the values that a rule lists a message has; of several, the one listed first. */
record Listed(Criterion picksOut, InHand message) {
    /** The sender as the rule names it; the writer's address where it names none. */
    Optional<String> sender() {
        return first(true).or(() -> message.message().writer().map(MailAddress::key));
    }

    /** A phrase or an address other than a sender's. */
    Optional<String> value() {
        return first(false);
    }

    private Optional<String> first(boolean sender) {
        return picksOut.tests().stream()
                .filter(test -> !test.negated() && isList(test) && isOfSender(test) == sender)
                .flatMap(test -> IntStream.range(0, test.probes().size())
                        .filter(i -> test.probes().get(i).hits(message))
                        .mapToObj(test.written()::get))
                .findFirst();
    }

    private static boolean isList(Test test) {
        return test instanceof AddressTest || test instanceof TextTest;
    }

    private static boolean isOfSender(Test test) {
        return test instanceof AddressTest address && address.part() == AddressTest.Part.SENDER;
    }
}
