package app.jubek.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowable;

import app.jubek.server.ServerContext;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Refused;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
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
        assertThat(access.mailboxes(ilse)).hasSize(3);
        access.check(ilse, access.mailboxes(ilse).get(0));
        assertThatThrownBy(() -> access.check(ilse, UUID.randomUUID()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("nothing here");
    }

    private static SignInOrigin place(String place) {
        return new SignInOrigin(place, "", "");
    }

    private void wrong(int times, String name, SignInOrigin from) {
        for (int i = 0; i < times; i++) {
            throttle.begin(name, from);
        }
    }

    @Test
    void wrongPasswordsBringPausesAndARightOneClearsThem() {
        SignInOrigin here = place("192.0.2.1");
        wrong(5, "Forgetful", here);
        assertThatThrownBy(() -> throttle.begin("forgetful ", here))
                .isInstanceOfSatisfying(
                        SignInThrottle.SignInPaused.class,
                        paused -> assertThat(paused.seconds()).isEqualTo(1));
        await("one may try again", () -> begins("forgetful", here));
        wrong(4, "forgetful", here);
        assertThatCode(() -> throttle.begin("someone-else", here)).doesNotThrowAnyException();
    }

    @Test
    void otherNamesFromTheSamePlaceAreSlowedToo() {
        for (int i = 0; i < 20; i++) {
            throttle.begin("guess " + i, place("192.0.2.2"));
        }
        assertThatThrownBy(() -> throttle.begin("guess again", place("192.0.2.2")))
                .isInstanceOf(SignInThrottle.SignInPaused.class);
        assertThatCode(() -> throttle.begin("guess again", place("192.0.2.3"))).doesNotThrowAnyException();
    }

    @Test
    void nobodyLocksAnOwnerOutOfABrowserTheyUsedBefore() {
        for (int i = 0; i < 30; i++) {
            catchThrowable(() -> throttle.begin(
                    "owner", place("203.0.113." + ThreadLocalRandom.current().nextInt(100))));
        }
        SignInOrigin elsewhere = place("198.51.100.7");
        assertThatThrownBy(() -> throttle.begin("owner", elsewhere)).isInstanceOf(SignInThrottle.SignInPaused.class);
        SignInOrigin known = new SignInOrigin("198.51.100.7", "", "a browser of the owner");
        assertThatCode(() -> throttle.begin("owner", known)).doesNotThrowAnyException();
    }

    private boolean begins(String name, SignInOrigin origin) {
        try {
            throttle.succeeded(throttle.begin(name, origin));
            return true;
        } catch (SignInThrottle.SignInPaused paused) {
            return false;
        }
    }
}
