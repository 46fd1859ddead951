package app.jubek.server.account;

import app.jubek.server.platform.InstallationKeys;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Refused;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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
    private static final int PASSWORD_BYTES = 12;
    private static final int LONGEST_NAME = 200;
    private static final int SHORTEST = 12;

    /** What bcrypt takes. */
    private static final int MOST_BYTES = 72;

    private final AccountRepository accounts;
    private final PasswordEncoder encoder;
    private final InstallationKeys keys;
    private final Clock clock;

    Accounts(AccountRepository accounts, PasswordEncoder encoder, InstallationKeys keys, Clock clock) {
        this.keys = keys;
        this.accounts = accounts;
        this.encoder = encoder;
        this.clock = clock;
    }

    @Override
    @Transactional(readOnly = true)
    public UserDetails loadUserByUsername(String signIn) {
        return Optional.of(signIn.strip().toLowerCase(Locale.ROOT))
                .filter(name -> name.length() <= LONGEST_NAME && name.chars().noneMatch(Character::isISOControl))
                .flatMap(accounts::named)
                .map(SignedIn::new)
                .orElseThrow(() -> new UsernameNotFoundException("there is no such account"));
    }

    /** Makes the first account when there is none; a password not given is made up and printed once. */
    @Transactional
    public UUID ensureFirst(JubekProperties.FirstAccount wanted) {
        return accounts.findAll().stream().findFirst().map(AccountEntity::id).orElseGet(() -> create(wanted));
    }

    private UUID create(JubekProperties.FirstAccount wanted) {
        String password = wanted.password().orElseGet(Accounts::sample);
        AccountEntity account = new AccountEntity(
                UUID.randomUUID(),
                wanted.signIn().strip().toLowerCase(Locale.ROOT),
                wanted.name(),
                encoder.encode(password),
                clock.instant());
        accounts.save(account);
        if (wanted.password().isEmpty()) {
            LOG.info(
                    "first account made; its password is in {}: change it after signing in, then delete the file",
                    keys.note("first-password", password));
        }
        return account.id();
    }

    /**
     * @throws Refused when the current password is wrong, or the next one too short, too long or the same
     */
    @Transactional
    public void changePassword(UUID id, String current, String next) {
        AccountEntity account = accounts.findById(id).orElseThrow(Refused::notFound);
        if (!encoder.matches(current, account.passwordHash())) {
            throw Refused.invalid("The current password is not right. Nothing was changed.", List.of());
        }
        int bytes = next.getBytes(StandardCharsets.UTF_8).length;
        if (next.length() < SHORTEST || bytes > MOST_BYTES || next.indexOf('\0') >= 0) {
            throw Refused.invalid(
                    "The new password needs " + SHORTEST + " to " + MOST_BYTES + " characters. Nothing was changed.",
                    List.of());
        }
        if (next.equals(current)) {
            throw Refused.invalid("The new password is the current one. Nothing was changed.", List.of());
        }
        account.setPasswordHash(encoder.encode(next));
    }

    private static String sample() {
        byte[] bytes = new byte[PASSWORD_BYTES];
        new SecureRandom().nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }
}
