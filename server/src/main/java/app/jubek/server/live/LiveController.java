package app.jubek.server.live;

import app.jubek.server.account.SignedIn;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The stream of events of a page (HTML Standard §9.2); not in the API's description, which knows no streams. */
@Hidden
@RestController
class LiveController {
    static final String PATH = "/api/events";

    private final LiveStreams streams;

    LiveController(LiveStreams streams) {
        this.streams = streams;
    }

    /**
     * @param last the id of the last event that was received, sent by the browser when it connects again
     * @param after the same, of a page that goes on where another one left off
     */
    @GetMapping(value = PATH, produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events(
            @AuthenticationPrincipal SignedIn who,
            HttpSession session,
            HttpServletResponse response,
            @RequestHeader(name = "Last-Event-ID", required = false) @Nullable String last,
            @RequestParam(defaultValue = "") String after) {
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        response.setHeader("X-Accel-Buffering", "no"); // a proxy that gathers events would hold them back
        return streams.open(who, session.getId(), last == null ? after : last);
    }
}
