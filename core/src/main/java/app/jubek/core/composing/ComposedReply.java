package app.jubek.core.composing;

import app.jubek.core.matching.Folding;
import app.jubek.core.text.Pieces;
import app.jubek.core.text.Unsafe;
import app.jubek.core.text.WhiteSpace;
import java.util.List;
import java.util.Optional;

/**
 * An answer that a composing service wrote. It is text alone: nothing in it says who gets it, what goes along, or whether it
 * leaves. A sentence counts as borne out only where the words it names stand in the brief, and hold each number, address and
 * link of the sentence.
 */
public record ComposedReply(List<Sentence> sentences) {
    private static final int MOST_SENTENCES = 200;
    private static final int LONGEST = 20_000;
    private static final int SHORTEST_QUOTE = 8;

    /** What stands above one (RFC 3676 §4.3). */
    private static final String SIGNATURE = "-- ";

    public ComposedReply {
        sentences = List.copyOf(sentences);
    }

    /**
     * What a service wrote, with what it claims looked up.
     *
     * @param claimed each with the source that the service names
     * @throws NotComposed when there is no text, or too much
     */
    public static ComposedReply checked(List<Sentence> claimed, Brief brief) throws NotComposed {
        List<Sentence> said = claimed.stream()
                .map(each ->
                        new Sentence(WhiteSpace.collapsed(Unsafe.removed(each.text())), each.begins(), each.source()))
                .filter(each -> !each.text().isEmpty())
                .toList();
        if (said.isEmpty()) {
            throw new NotComposed(ComposingTrouble.NOTHING_WRITTEN.with());
        }
        int length = said.stream().mapToInt(each -> each.text().length()).sum();
        if (said.size() > MOST_SENTENCES || length > LONGEST) {
            throw new NotComposed(ComposingTrouble.TOO_LONG.with());
        }
        return new ComposedReply(said.stream()
                .map(each -> new Sentence(
                        each.text(),
                        each.begins(),
                        each.source().filter(source -> bearsOut(source, each.text(), brief))))
                .toList());
    }

    /** Plain text with an empty line between paragraphs. */
    public String text() {
        StringBuilder text = new StringBuilder();
        for (Sentence each : sentences) {
            if (!text.isEmpty()) {
                text.append(each.begins().before());
            }
            text.append(each.text().equals(SIGNATURE.strip()) ? SIGNATURE : each.text());
        }
        return text.append('\n').toString();
    }

    private static boolean bearsOut(Source source, String sentence, Brief brief) {
        String whole = folded(brief.text(source.from()));
        String quote = folded(source.quote());
        boolean telling = quote.length() >= SHORTEST_QUOTE || quote.equals(folded(sentence));
        return telling && whole.contains(quote) && holdsValues(quote, sentence);
    }

    private static boolean holdsValues(String quote, String sentence) {
        return Pieces.runs(folded(sentence), sign -> !WhiteSpace.is(sign)).stream()
                .map(ComposedReply::value)
                .flatMap(Optional::stream)
                .allMatch(quote::contains);
    }

    /** A word with a digit, an address or a link, without the signs around it. */
    private static Optional<String> value(String word) {
        boolean telling = word.chars().anyMatch(Character::isDigit) || word.contains("@") || word.contains("://");
        String bare =
                Pieces.withoutBeginning(Pieces.withoutEnd(word, ComposedReply::isAround), ComposedReply::isAround);
        return Optional.of(bare).filter(value -> telling && !value.isEmpty());
    }

    private static boolean isAround(int sign) {
        return !Character.isLetterOrDigit(sign);
    }

    private static String folded(String text) {
        return Folding.fold(WhiteSpace.collapsed(Pieces.replaced(text, Unsafe::is, " ")));
    }
}
