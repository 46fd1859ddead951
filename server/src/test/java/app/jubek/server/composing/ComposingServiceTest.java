package app.jubek.server.composing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.jubek.core.composing.Brief;
import app.jubek.core.composing.ComposingTrouble;
import app.jubek.core.composing.NotComposed;
import app.jubek.server.platform.JubekProperties;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever the other end does, asking it ends, in time and with a reason. */
class ComposingServiceTest {
    private static final Brief BRIEF = Brief.of("Answer.", "Visit", "When?", "Dear visitor,");

    private final ExecutorService threads = Executors.newCachedThreadPool();
    private final AtomicInteger asked = new AtomicInteger();
    private HttpServer server;

    @BeforeEach
    void listen() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.setExecutor(threads);
        server.createContext("/drips", this::drip);
        server.createContext("/floods", exchange -> say(exchange, 200, "x".repeat(1 << 20)));
        server.createContext("/fails", exchange -> say(exchange, 503, "later"));
        server.createContext("/moved", exchange -> {
            exchange.getResponseHeaders().add("Location", "/fails");
            say(exchange, 307, "");
        });
        server.start();
    }

    @AfterEach
    void stop() {
        server.stop(0);
        threads.shutdownNow();
    }

    private void say(HttpExchange exchange, int status, String body) throws IOException {
        asked.incrementAndGet();
        try (exchange) {
            byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
            exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
            exchange.getResponseBody().write(bytes);
        }
    }

    private void drip(HttpExchange exchange) throws IOException {
        try (exchange) {
            exchange.sendResponseHeaders(200, 0);
            for (int i = 0; i < 600; i++) {
                exchange.getResponseBody().write(' ');
                exchange.getResponseBody().flush();
                Thread.sleep(100);
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private ComposingService service(String path, boolean allowInner) {
        JubekProperties properties = mock();
        when(properties.composing())
                .thenReturn(new JubekProperties.Composing(
                        URI.create("http://127.0.0.1:" + server.getAddress().getPort() + path),
                        "a token",
                        Duration.ofSeconds(2),
                        allowInner));
        return new ComposingService(properties);
    }

    @ParameterizedTest
    @CsvSource({"/drips, TIMED_OUT", "/floods, TOO_LONG", "/fails, ANSWERED_WITH", "/moved, ANSWERED_WITH"})
    void whatIsNoAnswerIsNamed(String path, ComposingTrouble trouble) {
        assertThatThrownBy(() -> service(path, true).compose(BRIEF))
                .isInstanceOfSatisfying(
                        NotComposed.class,
                        none -> assertThat(none.why().is(trouble))
                                .as(none.why().code())
                                .isTrue());
        assertThat(asked.get()).as("it is not followed to another address").isLessThanOrEqualTo(1);
    }

    @Test
    void anAddressInTheInnerNetworkIsNotAskedUnlessItIsAllowed() {
        assertThatThrownBy(() -> service("/fails", false).compose(BRIEF))
                .isInstanceOfSatisfying(
                        NotComposed.class,
                        none -> assertThat(none.why().is(ComposingTrouble.INSIDE_OUR_NETWORK))
                                .isTrue());
        assertThat(asked.get()).isZero();
    }

    /** RFC 1918, 3927, 4193, 4291 and 6598. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "127.8.8.8",
                "10.1.2.3",
                "172.16.0.9",
                "192.168.7.7",
                "169.254.169.254",
                "100.64.0.1",
                "100.127.255.1",
                "0.0.0.0",
                "224.0.0.1",
                "::1",
                "::",
                "fe80::1",
                "fd12::1",
                "fc00::1",
                "::ffff:10.0.0.1"
            })
    void innerAddressesAreKnown(String address) throws IOException {
        assertThat(InnerNetwork.holds(InetAddress.getByName(address))).isTrue();
    }

    /** RFC 5737 and 3849: addresses for documentation, and neighbours of the ranges above. */
    @ParameterizedTest
    @ValueSource(strings = {"192.0.2.1", "203.0.113.9", "100.63.255.1", "100.128.0.1", "172.32.0.1", "2001:db8::1"})
    void othersAreNot(String address) throws IOException {
        assertThat(InnerNetwork.holds(InetAddress.getByName(address))).isFalse();
    }
}
