package app.jubek.core.compiled;

import app.jubek.core.criteria.MessagePart;
import app.jubek.core.matching.ComparedText;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.PhraseIndex;
import app.jubek.core.matching.Value;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** All values that are looked for in one part under one comparison. */
final class Channel {
    private final MessagePart atom;
    private final Comparison comparison;
    private final PhraseIndex index;
    private final Sought[][] byString;
    private final Sought[] everywhere;

    /** A value and the number of its term. */
    private record Sought(Value value, int term) {}

    private Channel(
            MessagePart atom, Comparison comparison, Map<String, List<Sought>> byString, List<Sought> everywhere) {
        this.atom = atom;
        this.comparison = comparison;
        this.index = PhraseIndex.of(List.copyOf(byString.keySet()));
        this.byString = byString.values().stream()
                .map(list -> list.toArray(Sought[]::new))
                .toArray(Sought[][]::new);
        this.everywhere = everywhere.toArray(Sought[]::new);
    }

    /** Gathers values before there is an index. */
    static final class Builder {
        private final Map<String, List<Sought>> byString = new LinkedHashMap<>();
        private final List<Sought> everywhere = new ArrayList<>();

        void add(Value value, int term) {
            List<Sought> into = value.needed()
                    .map(needed -> byString.computeIfAbsent(needed, s -> new ArrayList<>(1)))
                    .orElse(everywhere);
            into.add(new Sought(value, term));
        }

        Channel build(MessagePart atom, Comparison comparison) {
            return new Channel(atom, comparison, byString, everywhere);
        }
    }

    MessagePart atom() {
        return atom;
    }

    /** Looks through the texts of the part, one after the other. */
    void look(List<String> texts, ComparedText buffer, FoundTerms findings) {
        for (int number = 0; number < texts.size(); number++) {
            String text = texts.get(number);
            buffer.load(text, comparison);
            int part = number;
            index.scan(buffer.units(), buffer.length(), (string, start, end) -> {
                for (Sought sought : byString[string]) {
                    found(sought, part, buffer, start, end, findings);
                }
            });
            for (Sought sought : everywhere) {
                if (sought.value().in(buffer)) {
                    notePlaces(sought, part, buffer, findings);
                }
            }
        }
    }

    private void found(Sought sought, int part, ComparedText buffer, int start, int end, FoundTerms findings) {
        Value value = sought.value();
        if (value.isPlainlyPlaced()) {
            if (value.isFoundBy(buffer, start, end)) {
                findings.hit(sought.term());
                findings.place(sought.term(), atom, part, buffer, start, end);
            }
        } else if (findings.isFirstLook(sought.term(), atom, part) && value.isFoundBy(buffer, start, end)) {
            notePlaces(sought, part, buffer, findings);
        }
    }

    private void notePlaces(Sought sought, int part, ComparedText buffer, FoundTerms findings) {
        findings.hit(sought.term());
        sought.value().places(buffer).forEach(span -> findings.place(sought.term(), atom, part, span));
    }
}
