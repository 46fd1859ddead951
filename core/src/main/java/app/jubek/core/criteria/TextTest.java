package app.jubek.core.criteria;

import app.jubek.core.text.Phrase;
import app.jubek.core.text.Words;
import java.util.List;
import java.util.Optional;

/** A test of words: the part contains any of the phrases, letter case ignored, each text part by itself. */
public record TextTest(Part part, List<Phrase> phrases, boolean negated) implements Test {

    /** Where the words are looked for. */
    public enum Part {
        SENDER_NAME("the sender's name"),
        SUBJECT("the subject"),
        TEXT("the text"),
        SUBJECT_OR_TEXT("the subject or text");

        private final String words;

        Part(String words) {
            this.words = words;
        }
    }

    public TextTest {
        phrases = List.copyOf(phrases);
        if (phrases.isEmpty()) {
            throw new IllegalArgumentException("a criterion needs at least one value");
        }
    }

    @Override
    public List<Probe> probes() {
        return phrases.stream().<Probe>map(p -> new PhraseProbe(part, p)).toList();
    }

    @Override
    public List<String> written() {
        return phrases.stream().map(Phrase::written).toList();
    }

    @Override
    public Optional<Integer> coveredBy(int value) {
        Phrase own = phrases.get(value);
        for (int i = 0; i < phrases.size(); i++) {
            Phrase other = phrases.get(i);
            boolean differs = !other.equals(own);
            if (i != value && other.covers(own) && (differs || i < value)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    @Override
    public String inWords() {
        List<String> quoted = written().stream().map(Words::quoted).toList();
        return (negated ? "without " : "with ") + Words.or(quoted) + " in " + part.words;
    }

    record PhraseProbe(Part part, Phrase phrase) implements Probe {
        @Override
        public boolean hits(Searchable message) {
            return switch (part) {
                case SENDER_NAME -> inAny(message.senderNames());
                case SUBJECT -> phrase.in(message.subject());
                case TEXT -> inAny(message.texts());
                case SUBJECT_OR_TEXT -> phrase.in(message.subject()) || inAny(message.texts());
            };
        }

        private boolean inAny(List<String> texts) {
            for (String text : texts) {
                if (phrase.in(text)) {
                    return true;
                }
            }
            return false;
        }
    }
}
