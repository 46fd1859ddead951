package app.jubek.server.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.RecoverableDataAccessException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.transaction.TransactionException;

/**
 * Stands around the work on one thing from outside, so that what is wrong with it hurts nothing else. What breaks off
 * because of something around it (database, network, disk, memory) is told apart, as that is no fault of the thing.
 */
public final class Border {
    private static final List<Class<? extends Throwable>> TRANSIENT = List.of(
            DataAccessResourceFailureException.class,
            TransientDataAccessException.class,
            RecoverableDataAccessException.class,
            TransactionException.class,
            IOException.class,
            UncheckedIOException.class,
            OutOfMemoryError.class,
            InterruptedException.class);

    private static final int FRAMES = 12;

    private Border() {}

    /** Work that may fail in any way. */
    public interface Work {
        void run() throws Exception;
    }

    /**
     * Why work broke off.
     *
     * @param cause as it was thrown
     * @param isTransient whether it would go well at another time
     */
    public record Failure(Throwable cause, boolean isTransient) {
        /** The innermost cause in its own words. */
        public String words() {
            List<Throwable> causes = causes(cause);
            Throwable root = causes.get(causes.size() - 1);
            if (root instanceof StackOverflowError) {
                return "it is nested too deep";
            }
            return root.getMessage() == null ? root.getClass().getSimpleName() : root.getMessage();
        }

        /** Where it went wrong, without what was in the thing: for the log, which tells of nobody's mail. */
        public String trace() {
            return causes(cause).stream().map(Failure::place).collect(Collectors.joining(", because of "));
        }

        private static String place(Throwable thrown) {
            String frames = Stream.of(thrown.getStackTrace())
                    .limit(FRAMES)
                    .map(StackTraceElement::toString)
                    .collect(Collectors.joining(" < "));
            return thrown.getClass().getName() + " at " + frames;
        }
    }

    /** Returns what went wrong; empty when all went well. Nothing gets past it. */
    @SuppressWarnings("IllegalCatch")
    public static Optional<Failure> around(Work work) {
        try {
            work.run();
            return Optional.empty();
        } catch (Throwable anything) {
            return Optional.of(failure(anything));
        }
    }

    public static Failure failure(Throwable cause) {
        boolean isTransient =
                causes(cause).stream().anyMatch(one -> TRANSIENT.stream().anyMatch(type -> type.isInstance(one)));
        return new Failure(cause, isTransient);
    }

    private static List<Throwable> causes(Throwable broken) {
        List<Throwable> all = new ArrayList<>();
        for (Throwable at = broken; at != null && !all.contains(at); at = at.getCause()) {
            all.add(at);
        }
        return all;
    }
}
