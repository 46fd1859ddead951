package app.jubek.server.composing;

import app.jubek.core.composing.Brief;
import app.jubek.core.composing.ComposedReply;
import app.jubek.core.composing.ComposingTrouble;
import app.jubek.core.composing.NotComposed;
import app.jubek.formats.composing.ComposingJson;
import app.jubek.server.platform.JubekProperties;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.util.Arrays;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.stereotype.Component;

/**
 * Asks the composing service over HTTP. What it answers is read as the text of a reply and as nothing else; it is never followed to
 * another address.
 */
@Component
class ComposingService {
    private static final int MOST_BYTES = 256 << 10;
    private static final int OK = 200;

    private final JubekProperties.Composing settings;
    private final HttpClient client;

    ComposingService(JubekProperties properties) {
        settings = properties.composing();
        client = HttpClient.newBuilder()
                .followRedirects(HttpClient.Redirect.NEVER)
                .connectTimeout(settings.timeout())
                .build();
    }

    boolean isSetUp() {
        return settings.service().isPresent();
    }

    /** Where what it is told goes to. */
    Optional<String> host() {
        return settings.service().map(URI::getHost);
    }

    /**
     * @throws NotComposed when there is none, with the reason
     */
    ComposedReply compose(Brief brief) throws NotComposed {
        URI url = settings.service().orElseThrow(() -> new NotComposed(ComposingTrouble.NOT_SET_UP.with()));
        checkPlace(url);
        return ComposedReply.checked(ComposingJson.read(answer(request(url, brief))), brief);
    }

    /** The name may stand for another address at any time; Java keeps what it looked up for long enough to connect. */
    private void checkPlace(URI url) throws NotComposed {
        try {
            boolean inside =
                    Arrays.stream(InetAddress.getAllByName(url.getHost())).anyMatch(InnerNetwork::holds);
            if (inside && !settings.allowInnerNetwork()) {
                throw new NotComposed(ComposingTrouble.INSIDE_OUR_NETWORK.with());
            }
        } catch (UnknownHostException unknown) {
            throw new NotComposed(ComposingTrouble.UNREACHABLE.with());
        }
    }

    private HttpRequest request(URI url, Brief brief) {
        HttpRequest.Builder request = HttpRequest.newBuilder(url)
                .timeout(settings.timeout())
                .header("Content-Type", "application/json")
                .header("Accept", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(ComposingJson.written(brief)));
        if (!settings.token().isBlank()) {
            request.header("Authorization", "Bearer " + settings.token());
        }
        return request.build();
    }

    /** Head and body within the time that is set: one that drips is not waited for. */
    private String answer(HttpRequest request) throws NotComposed {
        CompletableFuture<HttpResponse<Optional<String>>> asked =
                client.sendAsync(request, head -> new BoundedBody(MOST_BYTES));
        try {
            return text(asked.get(settings.timeout().toMillis(), TimeUnit.MILLISECONDS));
        } catch (TimeoutException late) {
            asked.cancel(true);
            throw new NotComposed(ComposingTrouble.TIMED_OUT.with());
        } catch (ExecutionException failed) {
            boolean late = failed.getCause() instanceof HttpTimeoutException;
            throw new NotComposed((late ? ComposingTrouble.TIMED_OUT : ComposingTrouble.UNREACHABLE).with());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new NotComposed(ComposingTrouble.TIMED_OUT.with());
        }
    }

    private static String text(HttpResponse<Optional<String>> answer) throws NotComposed {
        if (answer.statusCode() != OK) {
            throw new NotComposed(ComposingTrouble.ANSWERED_WITH.with(answer.statusCode()));
        }
        return answer.body().orElseThrow(() -> new NotComposed(ComposingTrouble.TOO_LONG.with()));
    }
}
