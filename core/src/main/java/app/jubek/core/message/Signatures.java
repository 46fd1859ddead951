package app.jubek.core.message;

import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** What signatures of a message cover (RFC 6376). */
public final class Signatures {
    private Signatures() {}

    /**
     * Whether a signature names fields that are to be absent, so that adding one of them breaks it (RFC 6376 §5.4).
     *
     * @param added names of fields, in lower case
     */
    public static boolean forbid(ReadMessage message, Set<String> added) {
        return message.values("DKIM-Signature").stream()
                .flatMap(value -> Arrays.stream(value.split(";")))
                .map(String::strip)
                .filter(tag -> tag.matches("(?s)h\\s*=.*"))
                .flatMap(
                        tag -> Arrays.stream(tag.substring(tag.indexOf('=') + 1).split(":")))
                .map(name -> name.replaceAll("\\s", "").toLowerCase(Locale.ROOT))
                .collect(Collectors.toSet())
                .stream()
                .anyMatch(added::contains);
    }
}
