package app.jubek.server.account;

import app.jubek.server.platform.Sha256;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.AuthenticationException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * After some wrong passwords a pause, which doubles with each further one: for a name at a place, for a name from
 * anywhere, and for a place whatever the name. Nobody is locked out: a browser that signed in under the name before is
 * counted by itself alone. An attempt counts as wrong until it is right, so that many at once don't slip through.
 */
@Component
class SignInThrottle {
    private final SignInAttemptRepository attempts;

    SignInThrottle(SignInAttemptRepository attempts) {
        this.attempts = attempts;
    }

    /** Too many wrong passwords: the next one is looked at only after a pause. */
    static final class SignInPaused extends AuthenticationException {
        private static final long serialVersionUID = 1L;

        private final Duration pause;

        SignInPaused(Duration pause) {
            super("too many wrong passwords");
            this.pause = pause;
        }

        /** Whole seconds, at least one. */
        long seconds() {
            return Math.max(1, pause.plusMillis(999).toSeconds());
        }
    }

    /**
     * What attempts are counted by.
     *
     * @param free wrong passwords without a pause
     * @param most the longest pause
     */
    private record Count(String key, int free, Duration most) {
        Duration pause(int wrong) {
            if (wrong < free) {
                return Duration.ZERO;
            }
            long seconds = 1L << Math.min(wrong - free, 20);
            return seconds < most.toSeconds() ? Duration.ofSeconds(seconds) : most;
        }
    }

    /** An attempt under way. */
    record Attempt(UUID id, List<String> ownKeys) {}

    /**
     * Counts one more attempt, before the password is looked at.
     *
     * @throws SignInPaused when it comes too early; it is not counted then
     */
    @Transactional
    public Attempt begin(String signIn, SignInOrigin from) {
        attempts.forgetOld();
        List<Count> counts = counts(signIn, from);
        counts.forEach(count -> attempts.lock(count.key()));
        counts.stream()
                .flatMap(count -> left(count).stream())
                .max(Duration::compareTo)
                .ifPresent(pause -> {
                    throw new SignInPaused(pause);
                });
        Attempt attempt = new Attempt(UUID.randomUUID(), List.of(counts.get(0).key()));
        counts.forEach(count -> attempts.note(attempt.id(), count.key()));
        return attempt;
    }

    /** The password was right: this attempt counts nowhere, and the earlier ones of the same person are forgotten. */
    @Transactional
    public void succeeded(Attempt attempt) {
        attempts.forget(attempt.id(), attempt.ownKeys());
    }

    private static List<Count> counts(String signIn, SignInOrigin from) {
        String name = Sha256.hex(signIn.strip().toLowerCase(Locale.ROOT), 16);
        if (!from.known().isEmpty()) {
            return List.of(new Count("browser " + from.known(), 5, Duration.ofMinutes(15)));
        }
        List<Count> counts = new ArrayList<>();
        counts.add(new Count("name at place " + name + " " + from.place(), 5, Duration.ofMinutes(15)));
        counts.add(new Count("name " + name, 20, Duration.ofSeconds(30)));
        counts.add(new Count("place " + from.place(), 20, Duration.ofMinutes(15)));
        return counts;
    }

    private Optional<Duration> left(Count count) {
        SignInAttemptRepository.Counted wrong = attempts.count(count.key());
        Duration since = wrong.getLast()
                .map(last -> Duration.between(last, wrong.getNow()))
                .orElse(Duration.ZERO);
        Duration left = count.pause((int) wrong.getTimes()).minus(since);
        return Optional.of(left).filter(pause -> !pause.isNegative() && !pause.isZero());
    }
}
