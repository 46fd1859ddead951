package app.jubek.core.matching;

import app.jubek.core.text.Limits;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/** Words looked for in one way. Two values that are looked for alike and compare alike are equal. */
public final class Value {
    private static final int MOST_PLACES = 1_000;
    private static final int SHOWN = 60;

    private final MatchType how;
    private final Comparison comparison;
    private final String written;
    private final String compared;
    private final Optional<Wildcard> wildcard;
    private final Optional<Pattern> pattern;

    private Value(MatchType how, Comparison comparison, String written) {
        this.how = how;
        this.comparison = comparison;
        this.written = comparison.isFolding() && how != MatchType.PATTERN ? written.strip() : written;
        String whole = comparison.apply(written);
        this.compared = how == MatchType.PATTERN || how == MatchType.WILDCARD
                ? written
                : comparison.isFolding() ? whole.strip() : whole;
        this.wildcard =
                how == MatchType.WILDCARD ? Optional.of(Wildcard.of(this.written, comparison)) : Optional.empty();
        this.pattern = how == MatchType.PATTERN ? Optional.of(Pattern.of(written, comparison)) : Optional.empty();
    }

    /**
     * @throws IllegalArgumentException when nothing is left of it after folding, or it is no pattern
     */
    public static Value of(MatchType how, Comparison comparison, String written) {
        int most = Limits.standard().valueChars();
        if (written.length() > most) {
            throw new IllegalArgumentException("the phrase \"" + written.substring(0, SHOWN) + "…\" has "
                    + written.length() + " characters, and " + most + " are allowed: make it shorter");
        }
        Value value = new Value(how, comparison, written);
        if (comparison.isFolding() && value.compared.isBlank()) {
            throw new IllegalArgumentException(
                    "the phrase \"" + written + "\" has nothing in it to look for: give at least one letter or sign");
        }
        return value;
    }

    /** A phrase as people look for one: contained, folded. */
    public static Value phrase(String written) {
        return of(MatchType.CONTAINS, Comparison.FOLDED, written);
    }

    public String written() {
        return written;
    }

    public MatchType how() {
        return how;
    }

    String compared() {
        return compared;
    }

    public Comparison comparison() {
        return comparison;
    }

    /** A string that stands in every text this is found in; empty when there is none, so each text must be looked at. */
    public Optional<String> needed() {
        Optional<String> literal = wildcard.map(Wildcard::needed)
                .or(() -> pattern.map(Pattern::needed))
                .orElse(Optional.of(compared));
        return literal.filter(s -> !s.isEmpty());
    }

    /** Whether a text, already compared alike, has this in it. */
    public boolean in(String text) {
        return switch (how) {
            case CONTAINS -> text.contains(compared);
            case WORDS -> wordAt(text.toCharArray(), text.length(), text) >= 0;
            case IS -> core(text).equals(compared);
            case BEGINS -> core(text).startsWith(compared);
            case ENDS -> core(text).endsWith(compared);
            case WILDCARD -> wildcard.orElseThrow().matches(text.toCharArray(), text.length());
            case PATTERN -> pattern.orElseThrow().isIn(seen(text));
        };
    }

    private CharSequence seen(ComparedText text) {
        return text.budget().over(seen(text.toString()));
    }

    /** The same, of a text in a buffer. */
    public boolean in(ComparedText text) {
        text.budget().ask();
        return switch (how) {
            case WILDCARD -> wildcard.orElseThrow().matches(text.units(), text.length());
            case PATTERN -> pattern.orElseThrow().isIn(seen(text));
            default -> in(text.toString());
        };
    }

    private int wordAt(char[] units, int length, String text) {
        int at = text.indexOf(compared);
        while (at >= 0 && !Borders.areOfWords(units, length, at, at + compared.length())) {
            at = text.indexOf(compared, at + 1);
        }
        return at;
    }

    private String core(String text) {
        return comparison.isFolding() ? text.strip() : text;
    }

    static String seen(String text) {
        int sees = Limits.standard().patternChars();
        return text.length() > sees ? text.substring(0, sees) : text;
    }

    /** Whether the needed string, standing at a place, means that this is found there, or at least in the text. */
    public boolean isFoundBy(ComparedText text, int start, int end) {
        char[] units = text.units();
        int length = text.length();
        boolean folded = comparison.isFolding();
        return switch (how) {
            case CONTAINS -> true;
            case WORDS -> Borders.areOfWords(units, length, start, end);
            case IS -> Borders.isBeginning(units, start, folded) && Borders.isEnd(units, length, end, folded);
            case BEGINS -> Borders.isBeginning(units, start, folded);
            case ENDS -> Borders.isEnd(units, length, end, folded);
            default -> in(text);
        };
    }

    /** Whether the place where the needed string stands is what was found, rather than a part of it. */
    public boolean isPlainlyPlaced() {
        return wildcard.isEmpty() && pattern.isEmpty();
    }

    /** Where it stands in a text that has it, for values that are not plainly placed. */
    public List<Span> places(ComparedText text) {
        if (text.length() == 0) {
            return List.of();
        }
        if (pattern.isEmpty()) {
            return List.of(text.span(0, text.length()));
        }
        List<Span> spans = new ArrayList<>();
        pattern.get().places(seen(text), MOST_PLACES).forEach(p -> spans.add(text.span(p[0], p[1])));
        return spans;
    }

    /** Tells of every place where it stands in a text. */
    public void in(ComparedText text, java.util.function.Consumer<Span> places) {
        if (!isPlainlyPlaced()) {
            if (in(text)) {
                places(text).forEach(places);
            }
            return;
        }
        String whole = text.toString();
        int at = compared.isEmpty() ? -1 : whole.indexOf(compared);
        while (at >= 0) {
            if (isFoundBy(text, at, at + compared.length())) {
                places.accept(text.span(at, at + compared.length()));
            }
            at = whole.indexOf(compared, at + 1);
        }
    }

    /**
     * Whether all words of a phrase but one stand in a text, in order, with another word in place of that one: a changed
     * word, a plural. Of two words the other one must begin alike, as nearly every text has one of them in it.
     */
    public boolean isOneWordOff(String text) {
        boolean phrase = (how == MatchType.CONTAINS || how == MatchType.WORDS) && comparison.isFolding();
        return phrase && OneWordOff.is(compared, text);
    }

    /** Whether every text that has the other one has this one too, so far as that is easily told. */
    public boolean covers(Value other) {
        boolean alike = comparison == other.comparison && isPlainlyPlaced() && other.isPlainlyPlaced();
        if (!alike) {
            return equals(other);
        }
        return switch (how) {
            case CONTAINS -> other.compared.contains(compared);
            case BEGINS ->
                (other.how == MatchType.BEGINS || other.how == MatchType.IS) && other.compared.startsWith(compared);
            case ENDS ->
                (other.how == MatchType.ENDS || other.how == MatchType.IS) && other.compared.endsWith(compared);
            default -> how == other.how && compared.equals(other.compared);
        };
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Value value
                && value.how == how
                && value.comparison == comparison
                && value.compared.equals(compared);
    }

    @Override
    public int hashCode() {
        return Objects.hash(how, comparison, compared);
    }

    @Override
    public String toString() {
        return written;
    }
}
