package app.jubek.core.matching;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Hostile;
import app.jubek.core.address.Domains;
import app.jubek.core.address.MailAddress;
import app.jubek.core.text.Budget;
import app.jubek.core.text.Shown;
import app.jubek.core.text.Unsafe;
import app.jubek.core.text.WhiteSpace;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Looking for words takes a time that grows with the text alone, whatever stands in it. */
class HostileTextsTest {
    private static final List<String> SIGNS = List.of("a", "a b ", "ab", " ", "aaab", "a.", "\u0301", "*", "b a a ");

    private static Stream<Arguments> scanners() {
        return Stream.of(
                scanner("contains", value(MatchType.CONTAINS, "a a a b")),
                scanner("whole words", value(MatchType.WORDS, "aa")),
                scanner("wildcard", value(MatchType.WILDCARD, "*a*b*ab?c")),
                scanner("pattern", value(MatchType.PATTERN, "a.*b|a")),
                scanner("one word off", text -> Value.phrase("x a").isOneWordOff(text)),
                scanner("one of three words off", text -> Value.phrase("a x a").isOneWordOff(text)),
                scanner("places", text -> value(MatchType.PATTERN, "a.*b|a").accept(text)),
                scanner("captures", text -> Captures.of("a.*b|a").all(text)),
                scanner("unsafe", Unsafe::removed),
                scanner("shown", Shown::of),
                scanner("white space", WhiteSpace::collapsed),
                scanner("domain", Domains::toAscii),
                scanner("address", text -> MailAddress.found("a@" + text)));
    }

    private static Arguments scanner(String name, Consumer<String> scanner) {
        return Arguments.of(name, scanner);
    }

    private static Consumer<String> value(MatchType how, String written) {
        Value value = Value.of(how, Comparison.FOLDED, written);
        return text -> {
            ComparedText compared = new ComparedText().load(text, Comparison.FOLDED);
            value.in(compared, place -> {});
        };
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("scanners")
    void tenTimesAsMuchTakesAtMostFifteenTimesAsLong(String name, Consumer<String> scanner) {
        assertThat(Hostile.slow(SIGNS, scanner)).as(name).isEmpty();
    }

    @Test
    void aScanThatCostsTooMuchIsEndedFromWithin() {
        int[] asked = {0};
        Budget budget = () -> {
            if (++asked[0] > 3) {
                throw new Budget.Spent("enough");
            }
        };
        Value pattern = Value.of(MatchType.PATTERN, Comparison.FOLDED, "a.*b.*c");
        ComparedText text = new ComparedText().spending(budget).load("a".repeat(60_000), Comparison.FOLDED);
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> pattern.in(text))
                .isInstanceOf(Budget.Spent.class);
    }

    @Test
    void whatCannotBeSeenIsShownAsAMarkOfTheSameLength() {
        assertThat(Shown.of("invoice\u202Efdp.exe")).isEqualTo("invoice\u25C7fdp.exe");
        assertThat(Shown.of("a\u0000b\u001Bc\u007Fd\u0085e")).isEqualTo("a\u2400b\u241Bc\u2421d\u25C7e");
        assertThat(Shown.of("\uD83Da\uDE00")).isEqualTo("\u25C7a\u25C7");
        assertThat(Shown.of("שלום, line\nnext\t€ 😀")).isEqualTo("שלום, line\nnext\t€ 😀");
    }
}
