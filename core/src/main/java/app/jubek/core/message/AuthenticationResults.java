package app.jubek.core.message;

import app.jubek.core.text.Pieces;
import app.jubek.core.text.WhiteSpace;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a server that took a message in found out about where it comes from (RFC 8601 §2.2).
 *
 * @param server its authserv-id, in lower case
 * @param passed methods that passed, in lower case: "dkim", "spf", "dmarc"
 */
public record AuthenticationResults(String server, Set<String> passed) {
    /** Fields below the server's own Received field may be forged; it writes its own on top of or right under that. */
    private static final int RECEIVED_ABOVE = 2;

    public AuthenticationResults {
        passed = Set.copyOf(passed);
    }

    /** The fields that the last servers on the way wrote, topmost first. */
    public static List<AuthenticationResults> of(ReadMessage message) {
        List<AuthenticationResults> found = new ArrayList<>();
        int received = 0;
        for (HeaderField field : message.fields()) {
            received += field.is("Received") ? 1 : 0;
            if (received == RECEIVED_ABOVE) {
                break;
            }
            if (field.is("Authentication-Results")) {
                read(field.value()).ifPresent(found::add);
            }
        }
        return found;
    }

    public boolean passes(String method) {
        return passed.contains(method);
    }

    public static Optional<AuthenticationResults> read(String value) {
        List<String> parts = Pieces.between(Comments.andQuotesRemoved(value), ';');
        String server =
                WhiteSpace.words(parts.get(0)).stream().findFirst().orElse("").toLowerCase(Locale.ROOT);
        if (server.isEmpty() || server.contains("=")) {
            return Optional.empty();
        }
        Set<String> passed = new TreeSet<>();
        parts.stream().skip(1).forEach(part -> method(part).ifPresent(passed::add));
        return Optional.of(new AuthenticationResults(server, passed));
    }

    /** The method of a result that passed, without its version: "dkim" of {@code dkim/1 = pass}. */
    private static Optional<String> method(String result) {
        String method = Pieces.before(Pieces.before(result, '='), '/').strip().toLowerCase(Locale.ROOT);
        String outcome = result.substring(Math.min(result.indexOf('=') + 1, result.length()));
        boolean named = !method.isEmpty() && method.chars().allMatch(AuthenticationResults::isOfName);
        boolean passes = result.indexOf('=') >= 0
                && WhiteSpace.words(outcome).stream()
                        .findFirst()
                        .filter("pass"::equalsIgnoreCase)
                        .isPresent();
        return Optional.of(method).filter(m -> named && passes);
    }

    private static boolean isOfName(int sign) {
        return sign >= 'a' && sign <= 'z' || sign >= '0' && sign <= '9' || sign == '-';
    }
}
