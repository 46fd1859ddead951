package app.jubek.formats.rulebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.jubek.core.rule.Ending;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class RuleBookJsonTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String RULE = """
            {"format":"jubek-rule-book","formatVersion":2,"rules":[{"id":"a","version":1,"name":"n",
            "picksOut":%s,"does":%s,"ending":"continue","on":true}]}""";
    private static final String ANY = "{\"everything\":true}";
    private static final String FILE = "[{\"do\":\"file\",\"folder\":\"Seeds\"}]";

    private static String resource(String path) {
        try (InputStream in = RuleBookJsonTest.class.getResourceAsStream(path)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException missing) {
            throw new IllegalStateException(path, missing);
        }
    }

    private static List<String> faults(String picksOut, String does) {
        FormatException refused =
                catchThrowableOfType(FormatException.class, () -> RuleBookJson.read(RULE.formatted(picksOut, does)));
        return refused.faults().stream().map(Fault::toString).toList();
    }

    /** The golden files guard every book that was ever saved. */
    @Test
    void aBookIsWrittenBackAsItWasAndOneOfVersion1InTheWordsOfToday() {
        JsonNode golden = JSON.readTree(resource("/rulebook/version-2.json"));
        assertThat(RuleBookJson.write(RuleBookJson.read(golden))).isEqualTo(golden);
        assertThat(RuleBookJson.write(RuleBookJson.read(resource("/rulebook/version-1.json"))))
                .isEqualTo(golden);
    }

    @Test
    void everyFaultIsNamedWithItsPlaceAndAllOfThemTogether() {
        assertThat(faults(
                        "{\"all\":[{\"part\":\"sender\",\"how\":\"is\",\"values\":[\"nobody\"]},"
                                + "{\"part\":\"subject\",\"how\":\"contains\",\"values\":[\"\\u00ad\"]}]}",
                        "[{\"do\":\"fly\"}]"))
                .satisfiesExactlyInAnyOrder(
                        f -> assertThat(f)
                                .startsWith("/rules/0/picksOut/all/0/values/0: \"nobody\" is not a mail address"),
                        f -> assertThat(f).startsWith("/rules/0/picksOut/all/1/values/0: the phrase"),
                        f -> assertThat(f).startsWith("/rules/0/does/0/do: \"fly\" is not known"));
    }

    @Test
    void aRuleInTheMakingIsReadWithoutItsUnfinishedActions() {
        JsonNode draft = JSON.readTree(
                        RULE.formatted(
                                ANY,
                                "[{\"do\":\"redirect\",\"to\":[]},{\"do\":\"keep\"},{\"do\":\"file\",\"folder\":\"Inbox\"},"
                                        + "{\"do\":\"file\",\"folder\":\"Inbox\",\"mailbox\":\"seeds@ostrel-gardens.example\"}]"))
                .at("/rules/0");
        DraftRule read = RuleBookJson.readDraft(draft);
        assertThat(read.rule().steps()).extracting(Step::kind).containsExactly(StepKind.KEEP, StepKind.FILE);
        assertThat(read.unfinished()).extracting(Fault::path).containsExactly("/does/0", "/does/2");
        assertThat(read.unfinished().get(0).message()).startsWith("name at least one address");
    }

    @Test
    void aRuleThatFilesOrAnswersStopsHereWhereItSaysNothingElse() {
        String open = RULE.replace("\"ending\":\"continue\",", "");
        RuleBook filing = RuleBookJson.read(open.formatted(ANY, FILE));
        RuleBook keeping = RuleBookJson.read(open.formatted(ANY, "[{\"do\":\"keep\"}]"));
        assertThat(filing.rules().get(0).ending()).isEqualTo(Ending.STOP_HERE);
        assertThat(keeping.rules().get(0).ending()).isEqualTo(Ending.CONTINUE);
    }

    @Test
    void unknownMembersEmptyGroupsAndOtherVersionsAreRefused() {
        assertThat(faults("{\"everything\":true,\"extra\":1}", FILE))
                .singleElement()
                .asString()
                .startsWith("/rules/0/picksOut/extra: is not known");
        assertThat(faults("{\"any\":[]}", FILE)).singleElement().asString().contains("add a criterion");
        assertThat(faults(ANY, "[{\"do\":\"file\",\"folder\":\"inbox\"}]"))
                .singleElement()
                .asString()
                .contains("other than the inbox");
        FormatException version = catchThrowableOfType(
                FormatException.class,
                () -> RuleBookJson.read("{\"format\":\"jubek-rule-book\",\"formatVersion\":3,\"rules\":[]}"));
        assertThat(version.faults())
                .containsExactly(new Fault("/formatVersion", "only the versions 1 to 2 can be read"));
    }

    @Test
    void aTextThatIsNoJsonIsRefusedWithLineAndColumn() {
        FormatException refused =
                catchThrowableOfType(FormatException.class, () -> RuleBookJson.read("{\n  \"format\": nonsense"));
        assertThat(refused.getMessage()).startsWith("line 2, column");
    }

    private static final String ADDED_LATER = """
            {"id":"r","version":1,"name":"r","picksOut":{"everything":true},"ending":"continue","on":true,
             "does":[{"do":"reply","text":"Thank you.","keepsUnanswered":true,"release":"on approval"},
                     {"do":"redirect","to":["a@x.example"],"afterMinutes":10},
                     {"do":"redirect","to":["b@x.example"],"release":"at opening","of":"Ticket desk"},
                     {"do":"reply","template":"t","languages":["u"],"substitute":"n@x.example","substituteName":"N"},
                     {"do":"reply","text":"Thank you.","instruction":"Name the day."},
                     {"do":"follow up","workingDays":3}],
             "active":{"hours":"inside opening hours","of":"Ticket desk","closedDays":"also","first":"2026-12-01",
              "further":[{"first":"2027-01-02","last":"2027-01-06"}],"recurs":{"rule":"FREQ=MONTHLY;BYDAY=1MO","from":"2026-01-01"}}}""";

    /** Every member the reader knows stands in the published schema, and the other way round. */
    @Test
    void thePublishedSchemaNamesTheMembersThatAreWritten() {
        JsonNode schema = JSON.readTree(resource("/app/jubek/formats/rule-book-2.schema.json"))
                .get("$defs");
        List<String> known = new ArrayList<>();
        schema.forEach(
                definition -> definition.path("properties").propertyNames().forEach(known::add));
        List<String> written = new ArrayList<>();
        collect(RuleBookJson.write(RuleBookJson.read(resource("/rulebook/version-1.json"))), written);
        collect(RuleBookJson.write(RuleBookJson.readRule(JSON.readTree(ADDED_LATER))), written);
        assertThat(new TreeSet<>(written)).isEqualTo(new TreeSet<>(known));
    }

    private static void collect(JsonNode node, List<String> names) {
        node.propertyNames().forEach(names::add);
        node.forEach(inner -> collect(inner, names));
    }

    @Test
    void formatsKnowOnlyTheCore() {
        ArchRuleDefinition.noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework..", "jakarta..", "app.jubek.server..", "app.jubek.demo..")
                .check(new ClassFileImporter().importPackages("app.jubek.formats"));
    }
}
