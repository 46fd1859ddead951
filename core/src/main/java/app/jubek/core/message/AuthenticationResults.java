package app.jubek.core.message;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

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
        for (Field field : message.fields()) {
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

    static Optional<AuthenticationResults> read(String value) {
        String plain = Comments.removed(value.replaceAll("\"(?:[^\"\\\\]|\\\\.)*\"", "quoted"));
        List<String> parts = Stream.of(plain.split(";")).map(String::strip).toList();
        String server = parts.get(0).split("\\s+")[0].toLowerCase(Locale.ROOT);
        if (server.isEmpty() || server.contains("=")) {
            return Optional.empty();
        }
        Set<String> passed = new TreeSet<>();
        parts.stream().skip(1).forEach(part -> {
            String[] method = part.split("\\s", 2)[0].split("=", 2);
            boolean spaced =
                    method.length == 1 && part.matches("(?is)[a-z][a-z0-9-]*\\s*(?:/\\s*\\d+\\s*)?=\\s*pass\\b.*");
            if (spaced || method.length == 2 && method[1].equalsIgnoreCase("pass")) {
                passed.add(part.split("[\\s/=]", 2)[0].toLowerCase(Locale.ROOT));
            }
        });
        return Optional.of(new AuthenticationResults(server, passed));
    }
}
