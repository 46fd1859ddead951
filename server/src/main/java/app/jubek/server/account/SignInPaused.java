package app.jubek.server.account;

import java.time.Duration;
import org.springframework.security.core.AuthenticationException;

/** Too many wrong passwords: the next one is looked at only after a pause. */
final class SignInPaused extends AuthenticationException {
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
