package app.jubek.core.recurring;

import app.jubek.core.matching.Folding;
import app.jubek.core.message.AddedText;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.text.Pieces;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Pairs of neighbouring words at the beginning of a text, for telling texts of one cluster. */
final class Shingles {
    private static final int CHARS = 600;
    private static final int WORDS = 60;
    private static final double MOST_OF = 0.8;
    private static final int ALIKE = 4;
    private static final int ALIKE_OF_ONE_WRITER = 2;
    private static final double SHARED = 0.5;

    private Shingles() {}

    static Set<Integer> of(ReadMessage message) {
        Set<Integer> found = new HashSet<>();
        message.texts().stream().findFirst().ifPresent(text -> collect(text, found));
        return found;
    }

    private static void collect(String text, Set<Integer> into) {
        String added = AddedText.of(text.substring(0, Math.min(text.length(), 4 * CHARS)))
                .strip();
        List<String> words =
                Pieces.runs(Folding.fold(added.substring(0, Math.min(added.length(), CHARS))), Shingles::isOfWord);
        String before = "";
        for (String now : words.subList(0, Math.min(words.size(), WORDS))) {
            String slotted = now.chars().anyMatch(Character::isDigit) ? "#" : now;
            if (!before.isEmpty()) {
                into.add((before + " " + slotted).hashCode());
            }
            before = slotted;
        }
    }

    private static boolean isOfWord(int character) {
        return Character.isLetter(character) || isNumber(character) || character == '\'';
    }

    private static boolean isNumber(int character) {
        int type = Character.getType(character);
        return type == Character.DECIMAL_DIGIT_NUMBER
                || type == Character.LETTER_NUMBER
                || type == Character.OTHER_NUMBER;
    }

    /** The pairs that a good part of some messages share. */
    static Set<Integer> profile(Collection<Set<Integer>> messages) {
        Map<Integer, Integer> counts = new HashMap<>();
        messages.forEach(set -> set.forEach(s -> counts.merge(s, 1, Integer::sum)));
        double least = Math.max(1.5, MOST_OF * messages.size());
        Set<Integer> profile = new HashSet<>();
        counts.forEach((shingle, count) -> {
            if (count >= least) {
                profile.add(shingle);
            }
        });
        return profile;
    }

    /**
     * @param ofOneWriter what one address writes, a machine's most often, needs less in common
     */
    static boolean ofOneCluster(Set<Integer> one, Set<Integer> other, boolean ofOneWriter) {
        Set<Integer> smaller = one.size() <= other.size() ? one : other;
        Set<Integer> larger = smaller == one ? other : one;
        int shared = 0;
        for (Integer shingle : smaller) {
            shared += larger.contains(shingle) ? 1 : 0;
        }
        return shared >= (ofOneWriter ? ALIKE_OF_ONE_WRITER : ALIKE) && shared >= SHARED * smaller.size();
    }
}
