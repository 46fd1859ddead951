package app.jubek.core.suggest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.Folding;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.people.OwnSide;
import app.jubek.core.view.MessageView;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** Real addresses and phrases of past mail for what is being typed, those of most messages first. */
public final class Completions {
    private static final int MOST = 8;
    private static final MessagePart SUBJECT = MessagePart.of(MessagePart.Kind.SUBJECT);

    private Completions() {}

    /** What can be completed. */
    public enum Of {
        SENDER,
        RECIPIENT,
        WORDS
    }

    /**
     * @param messages of the window that have it
     */
    public record Completion(String value, int messages) {}

    /**
     * @param typed at least two characters, of the beginning of a word; nothing at all for the addresses of most messages
     */
    public static List<Completion> of(Corpus.View past, Of what, String typed, OwnSide own) {
        String begun = Folding.fold(typed).strip();
        if (begun.isEmpty() ? what == Of.WORDS : begun.length() < 2) {
            return List.of();
        }
        Phrases phrases = new Phrases(own);
        Map<String, Integer> counts = new HashMap<>();
        Map<String, String> written = new HashMap<>();
        for (int at = 0; at < past.size(); at++) {
            MessageView seen = past.message(at).seen();
            if (what == Of.WORDS && isSilent(seen, begun)) {
                continue;
            }
            values(seen.message(), what, phrases).forEach((key, value) -> {
                if (begun.isEmpty() ? key.contains("@") : begins(key, begun)) {
                    counts.merge(key, 1, Integer::sum);
                    written.putIfAbsent(key, value);
                }
            });
        }
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry::getKey))
                .limit(MOST)
                .map(e -> new Completion(written.get(e.getKey()), e.getValue()))
                .toList();
    }

    /** Most subjects need not be taken apart: what is typed does not stand in them. */
    private static boolean isSilent(MessageView seen, String begun) {
        return seen.texts(SUBJECT, Comparison.FOLDED).stream().noneMatch(subject -> subject.contains(begun));
    }

    private static boolean begins(String key, String begun) {
        int at = key.indexOf(begun);
        while (at > 0 && Character.isLetterOrDigit(key.charAt(at - 1))) {
            at = key.indexOf(begun, at + 1);
        }
        return at >= 0;
    }

    private static Map<String, String> values(ReadMessage message, Of what, Phrases phrases) {
        return switch (what) {
            case WORDS -> phrases.in(message.subject());
            case SENDER -> addresses(message.in(Role.FROM).stream());
            case RECIPIENT -> addresses(message.recipients().stream());
        };
    }

    private static Map<String, String> addresses(Stream<MailAddress> addresses) {
        Set<String> all = new LinkedHashSet<>();
        addresses.filter(a -> !a.domain().isEmpty()).forEach(a -> {
            all.add(a.key());
            all.add(a.domain());
        });
        Map<String, String> values = new HashMap<>();
        all.forEach(value -> values.put(value, value));
        return values;
    }
}
