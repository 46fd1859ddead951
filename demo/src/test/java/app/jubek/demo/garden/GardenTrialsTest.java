package app.jubek.demo.garden;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.safety.HopMark;
import app.jubek.core.schedule.Opening;
import app.jubek.core.trial.Case;
import app.jubek.core.trial.Coverage;
import app.jubek.core.trial.Trial;
import app.jubek.core.trial.TrialResult;
import app.jubek.core.trial.TrialRun;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import app.jubek.formats.rulebook.RuleBookJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/** Whoever keeps the trials that are proposed for the garden's rules notices a change of any of them. */
class GardenTrialsTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final MessageContext INBOX =
            GardenPast.MESSAGES.get(0).seen().context().cameIn(GardenPast.END);
    private static final DecisionContext AT =
            DecisionContext.tryingOut(INBOX, Opening.usual(GardenMail.ZONE), new HopMark(new byte[32]));

    private final Corpus.View past = GardenPast.evidence();

    private Trial kept(Case one) {
        Case.Proposal proposal = one.proposal().orElseThrow();
        if (proposal instanceof Case.Real real) {
            MessageView seen = GardenPast.MESSAGES.get((int) real.message()).seen();
            return new Trial(
                    one.key(), new MessageView(seen.message(), seen.context().cameIn(real.at())), real.expectations());
        }
        Case.Invented invented = (Case.Invented) proposal;
        return new Trial(one.key(), invented.sample().view(GardenPast.VISITS, INBOX), invented.expectations());
    }

    /** Each single change of a rule, made in its JSON. */
    private static List<ObjectNode> changed(ObjectNode rule) {
        List<ObjectNode> all = new ArrayList<>();
        JsonNode criteria = rule.get("picksOut").get("all");
        for (int i = 0; i < criteria.size(); i++) {
            int at = i;
            for (int v = 0; v < criteria.get(i).get("values").size(); v++) {
                int value = v;
                all.add(with(rule, copy -> change(values(copy, at), value)));
            }
        }
        if (criteria.size() > 1) {
            all.add(with(rule, copy -> {
                ObjectNode picksOut = (ObjectNode) copy.get("picksOut");
                picksOut.set("any", picksOut.remove("all"));
            }));
        }
        if (rule.has("leavesOut")) {
            all.add(with(rule, copy -> copy.remove("leavesOut")));
        }
        return all;
    }

    private static ArrayNode values(ObjectNode rule, int criterion) {
        return (ArrayNode) rule.get("picksOut").get("all").get(criterion).get("values");
    }

    /** One of several is dropped; a single one becomes another. */
    private static void change(ArrayNode values, int at) {
        String written = values.remove(at).stringValue();
        if (values.isEmpty()) {
            values.add(StringNode.valueOf(written.contains("@") ? "x" + written : "x-" + written));
        }
    }

    private static ObjectNode with(ObjectNode rule, Consumer<ObjectNode> change) {
        ObjectNode copy = rule.deepCopy();
        change.accept(copy);
        return copy;
    }

    @Test
    void nineOfTenChangesOfTheGardensRulesMakeATrialDiffer() throws IOException {
        JsonNode document = JSON.readTree(Files.readString(Path.of("ostrel-gardens/rule-book.json")));
        RuleBook book = RuleBookJson.read(document);
        int changes = 0;
        int noticed = 0;
        for (int i = 0; i < book.rules().size(); i++) {
            Rule rule = book.rules().get(i);
            List<Trial> kept = Coverage.of(book, rule, List.of(), past, AT).cases().stream()
                    .filter(one -> one.proposal().isPresent())
                    .map(this::kept)
                    .toList();
            assertThat(TrialRun.of(book, kept, AT)).as(rule.name()).allMatch(TrialResult::holds);
            for (ObjectNode other : changed((ObjectNode) document.get("rules").get(i))) {
                changes++;
                noticed +=
                        TrialRun.of(in(document, i, other), kept, AT).stream().allMatch(TrialResult::holds) ? 0 : 1;
            }
        }
        System.out.printf("of %d changes of the garden's rules, trials noticed %d%n", changes, noticed);
        assertThat(noticed).isGreaterThanOrEqualTo(changes * 9 / 10);
    }

    private static RuleBook in(JsonNode document, int at, ObjectNode rule) {
        ObjectNode copy = (ObjectNode) document.deepCopy();
        ((ArrayNode) copy.get("rules")).set(at, rule);
        return RuleBookJson.read(copy);
    }
}
