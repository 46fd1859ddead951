package app.jubek.e2e.promises;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A password is sent to nobody whose certificate does not hold, and to nobody in plain text. */
class TlsFaultsTest {
    private static String watching(Node node) {
        return node.mailboxView().at("/trouble/cause/code").asString();
    }

    private static void says(Node node, String code) {
        Bench.await(code, () -> watching(node).equals(code));
    }

    @Test
    void mailGoesByTlsAndNotAtAllWhenItIsStrippedOrTheCertificateHasExpired() throws IOException {
        try (Bench bench = new Bench("tls").secured()) {
            String trusted = bench.office().trustedCertificates().toString();
            List<String> java =
                    List.of("-Djavax.net.ssl.trustStore=" + trusted, "-Djavax.net.ssl.trustStorePassword=simulated");
            Node node = bench.watching(bench.begin(java, Map.of()));
            bench.write("tour by tls", "x");
            Bench.step(node, "tour by tls", "REDIRECT", "SENT");

            bench.faults().call("starttls-stripped", 0);
            bench.office().breakOff();
            says(node, "NO_ENCRYPTION");
            bench.write("tour meanwhile", "x");

            bench.faults().clear();
            bench.faults().call("certificate-expired", 0);
            says(node, "CERTIFICATE_EXPIRED");
            assertThat(bench.mail(Bench.EDUCATION, "INBOX", "tour meanwhile")).isEmpty();

            bench.faults().clear();
            Bench.step(node, "tour meanwhile", "REDIRECT", "SENT");
        }
    }
}
