package app.jubek.server.account;

import app.jubek.server.platform.InstallationKeys;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Base64;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Who may read the metrics: whoever has the key file "metrics", as a bearer token (RFC 6750 §2.1). */
@Component
class MetricsToken {
    private static final String SCHEME = "Bearer ";

    private final InstallationKeys keys;

    MetricsToken(InstallationKeys keys) {
        this.keys = keys;
    }

    boolean isIn(HttpServletRequest request) {
        byte[] wanted = Base64.getEncoder().encode(keys.key("metrics"));
        return Optional.ofNullable(request.getHeader("Authorization"))
                .filter(header -> header.startsWith(SCHEME))
                .map(header -> header.substring(SCHEME.length()).getBytes(StandardCharsets.UTF_8))
                .filter(given -> MessageDigest.isEqual(given, wanted))
                .isPresent();
    }
}
