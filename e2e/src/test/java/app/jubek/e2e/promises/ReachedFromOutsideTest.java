package app.jubek.e2e.promises;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** How the page may be reached from other machines: through TLS, and forwarded headers count from listed proxies only. */
class ReachedFromOutsideTest {
    private static final String[] FORWARDED = {"X-Forwarded-Proto", "https", "X-Forwarded-For", "192.0.2.44"};

    @Test
    void behindAListedProxyEverythingGoesThroughTls() throws IOException {
        try (Bench bench = new Bench("proxied")) {
            Node node = bench.start("--jubek.web.trusted-proxies=127.0.0.1");
            HttpResponse<String> plain = node.get("/api/session");
            assertThat(plain.statusCode()).isEqualTo(403);
            assertThat(plain.body()).contains("This came in unencrypted");
            HttpResponse<String> encrypted = node.getAnew("/api/session", FORWARDED);
            assertThat(encrypted.statusCode()).isEqualTo(200);
            assertThat(encrypted.headers().firstValue("Strict-Transport-Security"))
                    .isPresent();
            assertThat(encrypted.headers().firstValue("Referrer-Policy")).contains("no-referrer");
            assertThat(encrypted.headers().allValues("Set-Cookie")).isNotEmpty().allMatch(c -> c.contains("Secure"));
        }
    }

    @Test
    void beyondThisMachineItDoesNotStartWithoutTlsUnlessASettingSaysSo() throws IOException {
        try (Bench bench = new Bench("beyond")) {
            Node refused = bench.begin(List.of(), Map.of(), "--server.address=0.0.0.0");
            Bench.await("it ends", () -> !refused.isAlive());
            assertThat(refused.log()).contains("server.address can't be used", "jubek.web.trusted-proxies");
            Node allowed = bench.start("--server.address=0.0.0.0", "--jubek.web.allow-plain-http=true");
            HttpResponse<String> answer = allowed.getAnew("/api/session", FORWARDED);
            assertThat(answer.statusCode()).isEqualTo(200);
            assertThat(answer.headers().firstValue("Strict-Transport-Security"))
                    .as("nobody's forwarded headers count")
                    .isEmpty();
        }
    }
}
