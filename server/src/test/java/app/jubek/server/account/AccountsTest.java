package app.jubek.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.server.ServerContext;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Refused;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.userdetails.UsernameNotFoundException;

class AccountsTest extends ServerContext {
    @Autowired
    private Accounts accounts;

    @Autowired
    private MailboxAccess access;

    @Autowired
    private SignInThrottle throttle;

    @Autowired
    private JdbcClient jdbc;

    @Test
    void theFirstAccountIsMadeOnceAndNotChangedByALaterStart() {
        UUID first = accounts.ensureFirst(new JubekProperties.FirstAccount("other", "Other", Optional.of("x")));
        assertThat(first).isEqualTo(((SignedIn) accounts.loadUserByUsername(" ILSE ")).id());
        assertThatThrownBy(() -> accounts.loadUserByUsername("other")).isInstanceOf(UsernameNotFoundException.class);
    }

    @Test
    void passwordsAreKeptAsSlowHashes() {
        assertThat(jdbc.sql("select password_hash from account where sign_in = 'ilse'")
                        .query(String.class)
                        .single())
                .startsWith("{bcrypt}")
                .doesNotContain("greenhouse");
    }

    @Test
    void aMailboxOneHasNoRightToLooksAsIfItDidNotExist() {
        SignedIn ilse = (SignedIn) accounts.loadUserByUsername("ilse");
        assertThat(access.mailboxes(ilse)).hasSize(2);
        access.check(ilse, access.mailboxes(ilse).get(0));
        assertThatThrownBy(() -> access.check(ilse, UUID.randomUUID()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("nothing here");
    }

    @Test
    void aRightPasswordClearsTheWrongOnesAndOneNameNeverLocksAnother() {
        for (int i = 0; i < 5; i++) {
            throttle.failed("Forgetful");
        }
        assertThat(throttle.mustWait("forgetful ")).isTrue();
        assertThat(throttle.mustWait("someone-else")).isFalse();
        throttle.succeeded("forgetful");
        assertThat(throttle.mustWait("forgetful")).isFalse();
    }
}
