package app.jubek.server.recurring;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.suggest.Suggestion;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.pastmail.PastMail;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import tools.jackson.databind.JsonNode;

/**
 * Criteria that are suggested, with what they take.
 *
 * @param takes of the wanted messages
 * @param elsewhere how many others it takes
 * @param examples of these, the newest
 */
record SuggestionView(
        @Schema(ref = "#/components/schemas/Criterion") JsonNode picksOut,
        Statement clause,
        int takes,
        List<PastMail.Line> missed,
        List<PastMail.Line> wrong,
        int elsewhere,
        List<PastMail.Line> examples) {
    private static final int EXAMPLES = 4;

    static List<SuggestionView> all(List<Suggestion> suggestions, Corpus.View past, int wanted) {
        return suggestions.stream()
                .map(suggestion -> new SuggestionView(
                        RuleBookJson.write(suggestion.picksOut()),
                        suggestion.picksOut().statement(),
                        wanted - suggestion.missed().size(),
                        lines(suggestion.missed(), past),
                        lines(suggestion.wrong(), past),
                        suggestion.elsewhere().size(),
                        lines(suggestion.elsewhere(), past)))
                .toList();
    }

    private static List<PastMail.Line> lines(List<Integer> places, Corpus.View past) {
        return places.stream()
                .limit(EXAMPLES)
                .map(past::message)
                .map(PastMail.Line::of)
                .toList();
    }
}
