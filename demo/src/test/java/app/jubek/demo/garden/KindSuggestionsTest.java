package app.jubek.demo.garden;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.message.Subjects;
import app.jubek.core.recurring.Kind;
import app.jubek.core.recurring.RecurringKinds;
import app.jubek.core.suggest.Start;
import app.jubek.core.suggest.Suggest;
import app.jubek.core.suggest.Suggestion;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The first suggestion for each kind of the garden's mail, beside what the mail was made from. */
class KindSuggestionsTest {
    private static final int ENOUGH = 8;

    private record Measured(String made, int messages, double precision, double recall) {}

    /** The mail of the last days, each message with what it was made from. */
    private record Window(
            List<PastMessage> messages, Corpus.View past, List<Kind> kinds, Map<String, Set<Integer>> made) {
        static Window of(int days) {
            Instant since = GardenPast.END.minus(Duration.ofDays(days));
            List<PastMessage> messages = GardenPast.MESSAGES.stream()
                    .filter(message -> !message.received().isBefore(since))
                    .toList();
            Corpus corpus = new Corpus(100, Long.MAX_VALUE);
            messages.forEach(corpus::add);
            Map<String, Set<Integer>> made = new TreeMap<>();
            for (int i = 0; i < messages.size(); i++) {
                made.computeIfAbsent(madeFrom(messages.get(i)), k -> new HashSet<>())
                        .add(i);
            }
            return new Window(messages, corpus.since(Instant.EPOCH), RecurringKinds.of(messages, GardenPast.OWN), made);
        }

        /** What is written only now and then, or in reply, recurs by its subject. */
        private static String madeFrom(PastMessage message) {
            String kind = GardenPast.INBOX.get((int) message.id()).kind();
            boolean bySubject = kind.equals("tail") || kind.equals("conversation");
            return bySubject ? Subjects.bare(message.subject()).split(" \\(")[0].strip() : kind;
        }

        List<Measured> table() {
            return made.entrySet().stream()
                    .filter(e -> e.getValue().size() >= ENOUGH)
                    .map(e -> measured(e.getKey(), e.getValue()))
                    .toList();
        }

        private Measured measured(String name, Set<Integer> made) {
            Kind kind = kinds.stream()
                    .max(Comparator.comparingLong(
                            k -> k.members().stream().filter(made::contains).count()))
                    .orElseThrow();
            Suggestion first = Suggest.of(past, kind, GardenPast.OWN).get(0);
            Set<Integer> taken = new HashSet<>(kind.members());
            first.missed().forEach(taken::remove);
            taken.addAll(first.elsewhere());
            double right = taken.stream().filter(made::contains).count();
            return new Measured(name, made.size(), right / taken.size(), right / made.size());
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {30, 90, 180})
    void theFirstSuggestionForAKindTakesTheKindAndLittleElse(int days) {
        List<Measured> table = Window.of(days).table();
        table.forEach(row -> System.out.printf(
                "%d days, %-36s %5d messages: precision %.3f, recall %.3f%n",
                days, row.made(), row.messages(), row.precision(), row.recall()));
        assertThat(table).hasSizeGreaterThan(25);
        assertThat(table.stream().mapToDouble(Measured::precision).average().orElse(0))
                .isGreaterThanOrEqualTo(0.97);
        assertThat(table.stream().mapToDouble(Measured::recall).average().orElse(0))
                .isGreaterThanOrEqualTo(0.97);
        assertThat(table).allMatch(row -> row.precision() >= 0.85 && row.recall() >= 0.85);
    }

    @Test
    void whatDiffersByANumberAtItsEndIsOneKind() {
        Map<String, Set<String>> kinds = new TreeMap<>();
        Window.of(180)
                .kinds()
                .forEach(kind -> kind.patterns()
                        .forEach(pattern -> kinds.computeIfAbsent(beginning(pattern), b -> new HashSet<>())
                                .add(kind.key())));
        assertThat(kinds)
                .containsKey("Bee hotel on the south wall")
                .allSatisfy((beginning, of) -> assertThat(of).as(beginning).hasSize(1));
    }

    private static String beginning(Kind.Pattern pattern) {
        List<Kind.Piece> pieces = pattern.pieces();
        int last = pieces.size() - 1;
        return pieces.subList(0, pieces.get(last).slot() ? last : pieces.size()).stream()
                .map(Kind.Piece::words)
                .collect(Collectors.joining(" "));
    }

    @Test
    void fromOneMessageTheWordsOfItsKindComeBeforeAValueThatVaries() {
        Window window = Window.of(90);
        int example = IntStream.range(0, window.messages().size())
                .filter(i -> window.messages().get(i).subject().equals("Are you open on Easter Monday?"))
                .findFirst()
                .orElseThrow();
        Optional<Kind> kind = window.kinds().stream()
                .filter(k -> k.members().contains(example))
                .findFirst();
        Start start = Start.of(window.past(), example, kind, GardenPast.OWN);
        assertThat(start.kept().stream().flatMap(kept -> ((SimpleCriterion) kept.criterion()).written().stream()))
                .containsExactly("Are you open on");
    }
}
