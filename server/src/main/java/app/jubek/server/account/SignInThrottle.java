package app.jubek.server.account;

import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Five wrong passwords for one name within ten minutes, and it must wait; counted in the database, for all nodes. */
@Component
class SignInThrottle {
    private static final int ALLOWED = 5;

    private final JdbcClient jdbc;

    SignInThrottle(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    boolean mustWait(String signIn) {
        return jdbc.sql("select count(*) from sign_in_failure where sign_in = ? and at > now() - interval '10 minutes'")
                        .param(key(signIn))
                        .query(Integer.class)
                        .single()
                >= ALLOWED;
    }

    @Transactional
    void failed(String signIn) {
        jdbc.sql("delete from sign_in_failure where at < now() - interval '10 minutes'")
                .update();
        jdbc.sql("insert into sign_in_failure (sign_in, at) values (?, now())")
                .param(key(signIn))
                .update();
    }

    void succeeded(String signIn) {
        jdbc.sql("delete from sign_in_failure where sign_in = ?")
                .param(key(signIn))
                .update();
    }

    private static String key(String signIn) {
        String lower = signIn.strip().toLowerCase(Locale.ROOT);
        return lower.length() > 200 ? lower.substring(0, 200) : lower;
    }
}
