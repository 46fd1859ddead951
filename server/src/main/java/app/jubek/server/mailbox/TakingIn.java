package app.jubek.server.mailbox;

import app.jubek.core.text.Budget;
import app.jubek.server.platform.Border;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.util.unit.DataSize;

/**
 * Has new messages of one mailbox taken in, each behind a border of its own: one that can't be is set aside after three
 * attempts, and the next one follows. What is wrong with database or network sets nothing aside: it is tried again later.
 */
final class TakingIn {
    private static final Logger LOG = LoggerFactory.getLogger(TakingIn.class);
    private static final int ATTEMPTS = 3;
    private static final String STOPPED = "Jubek stopped each time while reading it";

    private final Mailbox mailbox;
    private final Arrivals arrivals;
    private final Attempts attempts;
    private final DataSize largest;
    /** Counted, though nothing was wrong with them. */
    private final List<Fetched.Place> innocent = new ArrayList<>();

    TakingIn(Mailbox mailbox, Arrivals arrivals, Attempts attempts, DataSize largest) {
        this.mailbox = mailbox;
        this.arrivals = arrivals;
        this.attempts = attempts;
        this.largest = largest;
    }

    /** Several at one go, unless one of them was tried before: then one by one, so that the others don't count. */
    void all(List<Fetched> fetched, Lease lease) {
        if (fetched.isEmpty()) {
            return;
        }
        forgive();
        List<Fetched.Place> places = fetched.stream().map(Fetched::place).toList();
        if (fetched.size() > 1 && attempts.anyBefore(mailbox.id(), places)) {
            fetched.forEach(one -> counted(List.of(one), lease));
        } else {
            counted(fetched, lease);
        }
    }

    private void counted(List<Fetched> some, Lease lease) {
        List<Fetched.Place> places = some.stream().map(Fetched::place).toList();
        if (some.size() == 1) {
            int times = attempts.count(mailbox.id(), places.get(0), "");
            if (times > ATTEMPTS) {
                setAside(some.get(0), lease, STOPPED);
                attempts.forget(mailbox.id(), places);
                return;
            }
        } else {
            attempts.begin(mailbox.id(), places);
        }
        innocent.addAll(places);
        some.forEach(one -> takeIn(one, lease));
        attempts.forget(mailbox.id(), places);
        innocent.clear();
    }

    private void forgive() {
        if (!innocent.isEmpty()) {
            attempts.forget(mailbox.id(), List.copyOf(innocent));
            innocent.clear();
        }
    }

    private void takeIn(Fetched message, Lease lease) {
        if (!message.whole()) {
            setAside(message, lease, "it is larger than " + largest.toMegabytes() + " MB");
            return;
        }
        int times = 0;
        while (times < ATTEMPTS) {
            Optional<Border.Failure> failure = Border.around(() -> arrivals.arrived(mailbox.id(), message, lease));
            if (failure.isEmpty()) {
                return;
            }
            if (failure.get().ofSurroundings()) {
                throw new Interrupted(failure.get().cause());
            }
            boolean tooCostly = failure.get().cause() instanceof Budget.Spent;
            times = tooCostly ? ATTEMPTS : times + 1;
            LOG.warn(
                    "message {} of {} failed: {}",
                    message.place().uid(),
                    mailbox.id(),
                    failure.get().trace());
            if (times == ATTEMPTS) {
                setAside(message, lease, failure.get().words());
            }
        }
    }

    private void setAside(Fetched message, Lease lease, String cause) {
        arrivals.setAside(mailbox.id(), message, lease, cause);
    }

    /** Something around the messages does not work just now. */
    static final class Interrupted extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Interrupted(Throwable cause) {
            super(cause);
        }
    }
}
