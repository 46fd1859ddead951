package app.jubek.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Hostile;
import app.jubek.core.matching.Comparison;
import app.jubek.core.message.AddedText;
import app.jubek.core.message.AddressList;
import app.jubek.core.message.AuthenticationResults;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.Comments;
import app.jubek.core.message.DateFields;
import app.jubek.core.message.EncodedWords;
import app.jubek.core.message.HeaderField;
import app.jubek.core.message.Subjects;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever a stranger writes into a field or a text, reading it takes a time that grows with its length alone. */
class HostileFieldsTest {
    private static final int ALL = Integer.MAX_VALUE;

    private static Stream<Arguments> scanners() {
        return Stream.of(
                scanner("addresses", Hostile.ADDRESSES, value -> AddressList.read(value, ALL)),
                scanner("encoded words", Hostile.WORDS, value -> EncodedWords.decode(value, ALL)),
                scanner(
                        "parameters",
                        Hostile.PARAMETERS,
                        value -> Parameters.of(value, ALL).value("filename")),
                scanner("comments", Hostile.STRUCTURED, Comments::removed),
                scanner("authentication results", Hostile.STRUCTURED, AuthenticationResults::read),
                scanner("automatic", Hostile.STRUCTURED, value -> Origin.autoSubmitted(List.of(field(value)))),
                scanner("precedence", Hostile.STRUCTURED, value -> Origin.precedence(List.of(field(value)))),
                scanner("date", Hostile.STRUCTURED, DateFields::parse),
                scanner("message ids", Hostile.IDS, value -> MessageIds.in(value, ALL)),
                scanner("subject", Hostile.SUBJECTS, Subjects::bare),
                scanner("folded subject", Hostile.SUBJECTS, Comparison.FOLDED::apply),
                scanner("without accents", Hostile.SUBJECTS, Comparison.WITHOUT_ACCENTS::apply),
                scanner("added text", Hostile.TEXTS, AddedText::of),
                scanner("markup", Hostile.MARKUP, HtmlText::of),
                scanner("digest", Hostile.STRUCTURED, value -> TraceFields.digestBelow(bytes("Received: " + value))));
    }

    private static Arguments scanner(String name, List<String> signs, Consumer<String> scanner) {
        return Arguments.of(name, signs, scanner);
    }

    private static HeaderField field(String value) {
        return new HeaderField("Auto-Submitted", value, value);
    }

    private static ByteSource bytes(String text) {
        return ByteSource.of(text.getBytes(StandardCharsets.UTF_8));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("scanners")
    void tenTimesAsMuchTakesAtMostFifteenTimesAsLong(String name, List<String> signs, Consumer<String> scanner) {
        assertThat(Hostile.slow(signs, scanner)).as(name).isEmpty();
    }
}
