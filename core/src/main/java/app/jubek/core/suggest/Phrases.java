package app.jubek.core.suggest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.matching.Folding;
import app.jubek.core.people.OwnSide;
import app.jubek.core.text.Pieces;
import app.jubek.core.text.WhiteSpace;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Phrases of one to four words as a person would copy them out: cut at word borders, without numbers, and beginning and
 * ending with a word that says something. The person's own name and addresses, greetings and the like are left out.
 */
final class Phrases {
    private static final int WORDS = 4;
    private static final int SEVERAL = 3;
    private static final String VARYING = "@/\\<>=";

    private final Set<String> silent = new HashSet<>(CommonWords.ALL);

    Phrases(OwnSide own) {
        own.domains().forEach(domain -> silent.addAll(words(domain)));
        silent.addAll(words(own.identity().name()));
        for (MailAddress address : own.addresses()) {
            silent.add(address.local().toLowerCase(Locale.ROOT));
        }
    }

    private static List<String> words(String text) {
        return Pieces.runs(Folding.fold(text), Character::isLetterOrDigit);
    }

    /** A word as written and as compared, and whether signs stand around it, so that no phrase runs across them. */
    private record Word(String written, String folded, boolean open, boolean closed) {
        boolean varies() {
            return written.codePoints().anyMatch(c -> Character.isDigit(c) || VARYING.indexOf(c) >= 0);
        }
    }

    /** Phrases of a text as compared, each as first written. */
    Map<String, String> in(String text) {
        List<Word> words = wordsOf(text);
        Map<String, String> found = new LinkedHashMap<>();
        for (int from = 0; from < words.size(); from++) {
            collect(words, from, found);
        }
        return found;
    }

    /**
     * The longest runs of words between signs, whatever they begin and end with, if a word of them says something or
     * several do together.
     */
    Map<String, String> whole(String text) {
        Map<String, String> found = new LinkedHashMap<>();
        List<Word> run = new ArrayList<>();
        for (Word word : wordsOf(text)) {
            if (word.open() || word.varies() || word.folded().isEmpty()) {
                end(run, found);
            }
            if (!word.varies() && !word.folded().isEmpty()) {
                run.add(word);
            }
            if (word.closed()) {
                end(run, found);
            }
        }
        end(run, found);
        return found;
    }

    private void end(List<Word> run, Map<String, String> into) {
        if (run.size() >= SEVERAL
                || run.stream()
                        .anyMatch(word -> !isSilent(word) && word.folded().length() > 2)) {
            into.putIfAbsent(joined(run, Word::folded), joined(run, Word::written));
        }
        run.clear();
    }

    private static String joined(List<Word> run, Function<Word, String> as) {
        return run.stream().map(as).collect(Collectors.joining(" "));
    }

    private static List<Word> wordsOf(String text) {
        List<Word> words = new ArrayList<>();
        for (String piece : WhiteSpace.words(text)) {
            String noFront = Pieces.withoutBeginning(piece, c -> !Character.isLetterOrDigit(c) && c != '[');
            String bare = Pieces.withoutEnd(noFront, c -> !Character.isLetterOrDigit(c) && c != ']');
            words.add(new Word(
                    bare, Folding.fold(bare), noFront.length() < piece.length(), bare.length() < noFront.length()));
        }
        return words;
    }

    private void collect(List<Word> words, int from, Map<String, String> into) {
        StringBuilder written = new StringBuilder();
        StringBuilder folded = new StringBuilder();
        for (int at = from; at < Math.min(words.size(), from + WORDS); at++) {
            Word word = words.get(at);
            boolean broken = at > from && (word.open() || words.get(at - 1).closed());
            if (broken || word.varies() || word.folded().isEmpty() || at == from && isSilent(word)) {
                return;
            }
            written.append(at > from ? " " : "").append(word.written());
            folded.append(at > from ? " " : "").append(word.folded());
            if (!isSilent(word) && folded.length() > 2) {
                into.putIfAbsent(folded.toString(), written.toString());
            }
        }
    }

    private boolean isSilent(Word word) {
        return silent.contains(word.folded());
    }
}
