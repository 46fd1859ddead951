package app.jubek.server.watching;

import app.jubek.core.plan.Failure;
import app.jubek.core.text.Budget;
import app.jubek.core.wording.Statement;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.platform.Border;
import app.jubek.server.progress.Attempts;
import app.jubek.server.progress.Lease;
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
                setAside(some.get(0), lease, Failure.ASIDE_STOPPED.with());
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
            setAside(message, lease, Failure.ASIDE_TOO_LARGE.with(largest.toMegabytes()));
            return;
        }
        int times = 0;
        while (times < ATTEMPTS) {
            Optional<Border.Failure> failure = Border.around(() -> arrivals.receive(mailbox.id(), message, lease));
            if (failure.isEmpty()) {
                return;
            }
            if (failure.get().isTransient()) {
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
                setAside(message, lease, cause(failure.get()));
            }
        }
    }

    private static Statement cause(Border.Failure failure) {
        return failure.cause() instanceof Budget.Spent
                ? Failure.ASIDE_TOO_COSTLY.with()
                : Failure.ASIDE_BROKE.with(failure.words());
    }

    private void setAside(Fetched message, Lease lease, Statement cause) {
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
