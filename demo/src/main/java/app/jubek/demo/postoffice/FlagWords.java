package app.jubek.demo.postoffice;

import jakarta.mail.Flags;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Flags as words of a journal line. */
final class FlagWords {
    private static final Map<String, Flags.Flag> SYSTEM = Map.of(
            "\\Seen", Flags.Flag.SEEN,
            "\\Flagged", Flags.Flag.FLAGGED,
            "\\Answered", Flags.Flag.ANSWERED,
            "\\Deleted", Flags.Flag.DELETED,
            "\\Draft", Flags.Flag.DRAFT);

    private FlagWords() {}

    static String write(Flags flags) {
        List<String> words = new ArrayList<>(List.of(flags.getUserFlags()));
        SYSTEM.forEach((word, flag) -> {
            if (flags.contains(flag)) {
                words.add(word);
            }
        });
        return String.join(" ", words);
    }

    static Flags read(String words) {
        Flags flags = new Flags();
        for (String word : words.split(" ")) {
            if (SYSTEM.containsKey(word)) {
                flags.add(SYSTEM.get(word));
            } else if (!word.isBlank()) {
                flags.add(word);
            }
        }
        return flags;
    }
}
