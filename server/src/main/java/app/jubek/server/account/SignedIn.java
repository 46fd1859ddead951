package app.jubek.server.account;

import java.util.List;
import java.util.UUID;
import org.springframework.security.core.userdetails.User;

/** The person of the session. */
public class SignedIn extends User {
    private static final long serialVersionUID = 1L;

    private final UUID id;
    private final String shownName;

    SignedIn(AccountEntity account) {
        super(account.signIn(), account.passwordHash(), List.of());
        this.id = account.id();
        this.shownName = account.name();
    }

    public UUID id() {
        return id;
    }

    public String shownName() {
        return shownName;
    }
}
