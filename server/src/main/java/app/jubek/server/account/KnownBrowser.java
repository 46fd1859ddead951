package app.jubek.server.account;

import app.jubek.server.platform.InstallationKeys;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Base64;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;

/** Recognises a browser in which somebody signed in before, by a signed cookie. It opens nothing by itself. */
@Component
class KnownBrowser {
    private static final String COOKIE = "jubek-browser";
    private static final Duration KEPT = Duration.ofDays(180);
    private static final int BYTES = 16;

    private final InstallationKeys keys;

    KnownBrowser(InstallationKeys keys) {
        this.keys = keys;
    }

    /** The mark of the browser, when it was given to it under this name. */
    Optional<String> mark(HttpServletRequest request, String signIn) {
        return Stream.ofNullable(request.getCookies())
                .flatMap(Stream::of)
                .filter(cookie -> cookie.getName().equals(COOKIE))
                .map(Cookie::getValue)
                .filter(value -> isGivenTo(value, signIn))
                .map(KnownBrowser::mark)
                .findFirst();
    }

    void remember(HttpServletRequest request, HttpServletResponse response, String signIn) {
        byte[] bytes = new byte[BYTES];
        new SecureRandom().nextBytes(bytes);
        String mark = mark(request, signIn).orElse(encoded(bytes));
        ResponseCookie cookie = ResponseCookie.from(COOKIE, mark + "." + signature(mark, signIn))
                .httpOnly(true)
                .secure(request.isSecure())
                .sameSite("Strict")
                .path("/")
                .maxAge(KEPT)
                .build();
        response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
    }

    private boolean isGivenTo(String value, String signIn) {
        String mark = mark(value);
        byte[] given =
                value.substring(Math.min(mark.length() + 1, value.length())).getBytes(StandardCharsets.UTF_8);
        return MessageDigest.isEqual(given, signature(mark, signIn).getBytes(StandardCharsets.UTF_8));
    }

    private static String mark(String value) {
        int dot = value.indexOf('.');
        return dot < 0 ? value : value.substring(0, dot);
    }

    private String signature(String mark, String signIn) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(keys.key("known-browser"), "HmacSHA256"));
            String text = mark + " " + signIn.strip().toLowerCase(Locale.ROOT);
            return encoded(mac.doFinal(text.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }

    private static String encoded(byte[] bytes) {
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }
}
