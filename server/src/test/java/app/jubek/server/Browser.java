package app.jubek.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks to the API as the page does: with a session and the CSRF token. */
public final class Browser {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final String base;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    public Browser(int port) {
        this.base = "http://127.0.0.1:" + port;
    }

    public Browser signedIn(String name, String password) {
        get("/api/session");
        HttpResponse<String> answer = send(
                "POST",
                "/api/sign-in",
                "username=" + name + "&password=" + password,
                "application/x-www-form-urlencoded");
        if (answer.statusCode() != 204) {
            throw new IllegalStateException("sign-in: " + answer.statusCode() + " " + answer.body());
        }
        get("/api/session");
        return this;
    }

    public JsonNode get(String path) {
        return JSON.readTree(send("GET", path, "", "application/json").body());
    }

    public JsonNode post(String path, String json) {
        return JSON.readTree(send("POST", path, json, "application/json").body());
    }

    public HttpResponse<String> send(String method, String path, String body, String type) {
        return send(method, path, body.getBytes(StandardCharsets.UTF_8), type);
    }

    HttpResponse<String> send(String method, String path, byte[] body, String type) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .timeout(Duration.ofMinutes(1))
                .header("Content-Type", type)
                .method(method, HttpRequest.BodyPublishers.ofByteArray(body));
        token(request);
        try {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (IOException failed) {
            throw new IllegalStateException(failed);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    /** The lines of a stream as they come. */
    public HttpResponse<Stream<String>> open(String path, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path));
        if (headers.length > 0) {
            request.headers(headers);
        }
        try {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofLines());
        } catch (IOException failed) {
            throw new IllegalStateException(failed);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    private void token(HttpRequest.Builder request) {
        cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .reduce((first, last) -> last)
                .ifPresent(c -> request.header("X-XSRF-TOKEN", c.getValue()));
    }
}
