package app.jubek.server.http;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Problem details (RFC 9457) for whoever answers outside a controller. */
public final class Problems {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private Problems() {}

    public static void write(HttpServletResponse response, HttpStatus status, String detail) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getOutputStream().write(json(status, detail));
        response.flushBuffer();
    }

    /** Of a password that comes too early. */
    public static String paused(long seconds) {
        return "Too many wrong passwords. Wait " + (seconds == 1 ? "1 second" : seconds + " seconds")
                + " and try again.";
    }

    static byte[] json(HttpStatus status, String detail) {
        ObjectNode problem = JSON.createObjectNode();
        problem.put("title", status.getReasonPhrase());
        problem.put("status", status.value());
        problem.put("detail", detail);
        return problem.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** What to tell of a status where nothing else is known. */
    static String usual(HttpStatus status) {
        return switch (status) {
            case UNAUTHORIZED -> "Nobody is signed in, or no longer. Sign in and try again.";
            case FORBIDDEN ->
                "The request does not come from Jubek's own page, or the page is out of date. Reload it and try again.";
            case NOT_FOUND -> "There is nothing here that you may see.";
            case CONTENT_TOO_LARGE -> "The request is too large.";
            case METHOD_NOT_ALLOWED -> "This address does not take that method.";
            default ->
                status.is5xxServerError()
                        ? "Something failed inside Jubek. Nothing was changed by this request; the log has the cause."
                        : "The request can't be read. Check its address, headers and body.";
        };
    }
}
