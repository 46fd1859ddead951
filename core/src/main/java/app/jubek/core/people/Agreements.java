package app.jubek.core.people;

import app.jubek.core.address.MailAddress;
import java.util.Map;
import java.util.Optional;

/** What addresses have said to getting a mailbox's mail. */
public sealed interface Agreements {
    /** Empty for an address that was never asked or told. */
    Optional<Agreement> of(MailAddress address);

    /**
     * What is known.
     *
     * @param byKey by addresses as they are compared, {@link MailAddress#key()}
     */
    record Known(Map<String, Agreement> byKey) implements Agreements {
        public Known {
            byKey = Map.copyOf(byKey);
        }

        @Override
        public Optional<Agreement> of(MailAddress address) {
            return Optional.ofNullable(byKey.get(address.key()));
        }
    }

    /** For trying rules out: everybody counts as agreed. */
    record Everybody() implements Agreements {
        @Override
        public Optional<Agreement> of(MailAddress address) {
            return Optional.of(Agreement.CONFIRMED);
        }
    }

    /** Nobody was asked. */
    static Agreements none() {
        return new Known(Map.of());
    }
}
