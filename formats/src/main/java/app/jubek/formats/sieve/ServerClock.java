package app.jubek.formats.sieve;

import app.jubek.core.schedule.Opening;
import java.util.Map;
import java.util.Optional;

/**
 * What is known of the clock of a mail server that runs scripts. A script can name fixed offsets from UTC alone (RFC 5260
 * §4.1), no zone whose clocks are changed: so times can be written only where both go by the same zone.
 *
 * @param sameZone the server's clock shows the time of the mailbox
 * @param opening the opening hours of the mailbox, without closed days; empty when they are not known
 * @param named further hours by their names
 */
public record ServerClock(boolean sameZone, Optional<Opening> opening, Map<String, Opening> named) {
    public ServerClock {
        named = Map.copyOf(named);
    }

    /** A server of which nothing is known. */
    public static ServerClock unknown() {
        return new ServerClock(false, Optional.empty(), Map.of());
    }

    Optional<Opening> hours(Optional<String> of) {
        return of.isPresent() ? Optional.ofNullable(named.get(of.get())) : opening;
    }
}
