package app.jubek.core.suggest;

import app.jubek.core.matching.Folding;
import app.jubek.core.text.WordList;
import java.util.Set;
import java.util.stream.Collectors;

/** Words that begin or end no phrase of their own: articles, prepositions, greetings and the like (common practice). */
final class CommonWords {
    static final Set<String> ALL =
            WordList.of("common").stream().map(Folding::fold).collect(Collectors.toUnmodifiableSet());

    private CommonWords() {}
}
