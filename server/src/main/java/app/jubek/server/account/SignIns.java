package app.jubek.server.account;

import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Refused;
import app.jubek.server.platform.Sha256;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;

/** Where somebody is signed in, and how that ends. Sessions are kept in the database, for all nodes. */
@Service
public class SignIns {
    private static final String PLACE = "jubek.place";
    private static final String BROWSER = "jubek.browser";

    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final JubekProperties properties;

    SignIns(FindByIndexNameSessionRepository<? extends Session> sessions, JubekProperties properties) {
        this.sessions = sessions;
        this.properties = properties;
    }

    /**
     * One session.
     *
     * @param key names it, and opens nothing
     * @param current whether it is the one that asks
     */
    record SignIn(String key, String place, String browser, Instant since, Instant lastUsed, boolean current) {}

    void begun(HttpSession session, SignInOrigin from) {
        session.setAttribute(PLACE, from.place());
        session.setAttribute(BROWSER, from.browser());
    }

    /** Whether a session has lasted as long as one may. */
    boolean isOver(HttpSession session) {
        return isOver(Instant.ofEpochMilli(session.getCreationTime()));
    }

    private boolean isOver(Instant begun) {
        return begun.plus(properties.web().sessionLife()).isBefore(Instant.now());
    }

    /** Whether somebody is still signed in by a session; asking does not prolong it. */
    public boolean holds(String id) {
        return Optional.ofNullable(sessions.findById(id))
                .filter(session -> !isOver(session.getCreationTime()))
                .isPresent();
    }

    /** The last used first. */
    List<SignIn> of(SignedIn who, HttpSession current) {
        return sessions.findByPrincipalName(who.getUsername()).values().stream()
                .map(session -> view(session, current))
                .sorted(Comparator.comparing(SignIn::lastUsed).reversed())
                .toList();
    }

    private static SignIn view(Session session, HttpSession current) {
        return new SignIn(
                key(session.getId()),
                Optional.<String>ofNullable(session.getAttribute(PLACE)).orElse(""),
                Optional.<String>ofNullable(session.getAttribute(BROWSER)).orElse(""),
                session.getCreationTime(),
                session.getLastAccessedTime(),
                session.getId().equals(current.getId()));
    }

    void end(SignedIn who, String key) {
        String id = sessions.findByPrincipalName(who.getUsername()).keySet().stream()
                .filter(session -> key(session).equals(key))
                .findFirst()
                .orElseThrow(Refused::notFound);
        sessions.deleteById(id);
    }

    void endOthers(SignedIn who, HttpSession current) {
        sessions.findByPrincipalName(who.getUsername()).keySet().stream()
                .filter(id -> !id.equals(current.getId()))
                .forEach(sessions::deleteById);
    }

    private static String key(String session) {
        return Sha256.hex(session, 12);
    }
}
