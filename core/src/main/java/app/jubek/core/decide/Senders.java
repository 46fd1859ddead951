package app.jubek.core.decide;

import app.jubek.core.address.Domains;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.message.ReadMessage;
import java.util.Optional;

/** Which of the senders that a rule names wrote a message. */
final class Senders {
    private Senders() {}

    /** The value as the rule names it; the writer's address where it names none. */
    static Optional<String> named(Criterion picksOut, ReadMessage message) {
        Optional<MailAddress> writer = message.writer();
        return writer.flatMap(from -> picksOut.tests().stream()
                        .filter(test -> test instanceof AddressTest address
                                && address.part() == AddressTest.Part.SENDER
                                && !address.negated())
                        .flatMap(test -> ((AddressTest) test).values().stream())
                        .filter(value -> isFrom(value, from))
                        .findFirst())
                .or(() -> writer.map(MailAddress::key));
    }

    private static boolean isFrom(String value, MailAddress from) {
        return value.contains("@")
                ? value.equalsIgnoreCase(from.address())
                : Domains.isAtOrBelow(from.domain(), Domains.toAscii(value));
    }
}
