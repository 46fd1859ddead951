package app.jubek.server.progress;

import app.jubek.server.mailbox.Fetched;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * How often each message was tried, counted and committed before it is read, so that an attempt that ends the process
 * counts too. All messages asked for together lie in one folder.
 */
@Component
public class Attempts {
    private final IntakeFailureRepository failures;

    Attempts(IntakeFailureRepository failures) {
        this.failures = failures;
    }

    /** Whether one of them was tried before and is not done. */
    @Transactional(readOnly = true)
    public boolean anyBefore(UUID mailbox, List<Fetched.Place> places) {
        Fetched.Place first = places.get(0);
        return failures.hasOneOf(mailbox, first.folder(), first.uidValidity(), uids(places));
    }

    @Transactional
    public void begin(UUID mailbox, List<Fetched.Place> places) {
        places.forEach(place -> failures.count(mailbox, place.folder(), place.uidValidity(), place.uid(), ""));
    }

    /** Counts one more and returns how many there are by now. */
    @Transactional
    public int count(UUID mailbox, Fetched.Place place, String cause) {
        failures.count(mailbox, place.folder(), place.uidValidity(), place.uid(), cause);
        return failures.times(new IntakeFailureEntity.Key(mailbox, place.folder(), place.uidValidity(), place.uid()));
    }

    /** They were taken in or set aside, or what went wrong was no fault of theirs. */
    @Transactional
    public void forget(UUID mailbox, List<Fetched.Place> places) {
        Fetched.Place first = places.get(0);
        failures.forget(mailbox, first.folder(), first.uidValidity(), uids(places));
    }

    private static List<Long> uids(List<Fetched.Place> places) {
        return places.stream().map(Fetched.Place::uid).toList();
    }
}
