package app.jubek.server.account;

import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** The one place where passwords are looked at for signing in, so that no way of asking gets round the throttle. */
@Component
class GuardedSignIn implements AuthenticationProvider {
    private final DaoAuthenticationProvider passwords;
    private final SignInThrottle throttle;

    GuardedSignIn(Accounts accounts, PasswordEncoder encoder, SignInThrottle throttle) {
        this.passwords = new DaoAuthenticationProvider(accounts);
        this.passwords.setPasswordEncoder(encoder);
        this.throttle = throttle;
    }

    @Override
    public Authentication authenticate(Authentication asked) {
        SignInOrigin from =
                asked.getDetails() instanceof SignInOrigin origin ? origin : new SignInOrigin("unknown", "", "");
        SignInThrottle.Attempt attempt = throttle.begin(asked.getName(), from);
        Authentication right = passwords.authenticate(asked);
        throttle.succeeded(attempt);
        return right;
    }

    @Override
    public boolean supports(Class<?> authentication) {
        return passwords.supports(authentication);
    }
}
