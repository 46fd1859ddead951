package app.jubek.server.account;

import app.jubek.server.platform.JubekProperties;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.Base64;
import java.util.Locale;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Accounts; the first one is made at the first start. */
@Service
public class Accounts implements UserDetailsService {
    private static final Logger LOG = LoggerFactory.getLogger(Accounts.class);
    private static final int PASSWORD_OCTETS = 12;

    private final AccountRepository accounts;
    private final PasswordEncoder encoder;
    private final Clock clock;

    Accounts(AccountRepository accounts, PasswordEncoder encoder, Clock clock) {
        this.accounts = accounts;
        this.encoder = encoder;
        this.clock = clock;
    }

    @Override
    @Transactional(readOnly = true)
    public UserDetails loadUserByUsername(String signIn) {
        return accounts.named(signIn.strip().toLowerCase(Locale.ROOT))
                .map(SignedIn::new)
                .orElseThrow(() -> new UsernameNotFoundException(signIn));
    }

    /** Makes the first account when there is none; a password not given is made up and printed once. */
    @Transactional
    public UUID ensureFirst(JubekProperties.FirstAccount wanted) {
        return accounts.findAll().stream().findFirst().map(AccountEntity::id).orElseGet(() -> create(wanted));
    }

    private UUID create(JubekProperties.FirstAccount wanted) {
        String password = wanted.password().orElseGet(Accounts::madeUp);
        AccountEntity account = new AccountEntity(
                UUID.randomUUID(),
                wanted.signIn().strip().toLowerCase(Locale.ROOT),
                wanted.name(),
                encoder.encode(password),
                clock.instant());
        accounts.save(account);
        if (wanted.password().isEmpty()) {
            LOG.info("First account made. Sign in as {} with the password {}", account.signIn(), password);
        }
        return account.id();
    }

    private static String madeUp() {
        byte[] octets = new byte[PASSWORD_OCTETS];
        new SecureRandom().nextBytes(octets);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(octets);
    }
}
