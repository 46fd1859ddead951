package app.jubek.server.live;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Instant;
import java.util.Optional;
import org.springframework.core.annotation.Order;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * That a page listens is no sign of a person: a sign-in is as old afterwards as it was before, so that one that nobody
 * uses runs out though its page is open.
 */
@Component
@Order(SessionRepositoryFilter.DEFAULT_ORDER - 1)
class UntouchedSession<S extends Session> extends OncePerRequestFilter {
    private final SessionRepository<S> sessions;
    private final CookieSerializer cookie;

    UntouchedSession(SessionRepository<S> sessions, CookieSerializer cookie) {
        this.sessions = sessions;
        this.cookie = cookie;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().equals(LiveController.PATH);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<String> id = cookie.readCookieValues(request).stream().findFirst();
        Optional<Instant> used = id.flatMap(this::find).map(Session::getLastAccessedTime);
        chain.doFilter(request, response);
        id.flatMap(this::find)
                .ifPresent(session -> used.ifPresent(at -> {
                    session.setLastAccessedTime(at);
                    sessions.save(session);
                }));
    }

    private Optional<S> find(String id) {
        return Optional.ofNullable(sessions.findById(id));
    }
}
