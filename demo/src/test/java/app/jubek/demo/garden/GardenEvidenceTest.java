package app.jubek.demo.garden;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.people.OwnSide;
import app.jubek.core.recurring.Kind;
import app.jubek.core.recurring.RecurringKinds;
import app.jubek.core.review.Review;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.schedule.Opening;
import app.jubek.core.suggest.Suggest;
import app.jubek.core.suggest.Suggestion;
import app.jubek.core.template.Prepared;
import app.jubek.formats.rulebook.RuleBookJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What the engine makes of the garden's past mail, beside what it was made from. */
class GardenEvidenceTest {
    private static final OwnSide OWN = GardenPast.OWN;
    private static final List<GardenMail.Letter> INBOX = GardenPast.INBOX;
    private static final List<PastMessage> PAST = GardenPast.MESSAGES;

    /** Pairs of messages put together, among those that recur; the tail recurs by accident only. */
    @Test
    void theKindsTheMailWasMadeFromAreFoundAgain() {
        List<Kind> kinds = RecurringKinds.of(PAST, OWN);
        long together = 0;
        long right = 0;
        for (Kind kind : kinds) {
            Map<String, Long> counts = new HashMap<>();
            kind.members().forEach(place -> counts.merge(INBOX.get(place).kind(), 1L, Long::sum));
            long tail = counts.getOrDefault("tail", 0L);
            together += pairs(kind.size()) - pairs(tail);
            right += counts.values().stream()
                            .mapToLong(GardenEvidenceTest::pairs)
                            .sum()
                    - pairs(tail);
        }
        Map<String, Long> sizes = new HashMap<>();
        INBOX.stream()
                .filter(letter -> !letter.kind().equals("tail"))
                .forEach(letter -> sizes.merge(letter.kind(), 1L, Long::sum));
        long wanted =
                sizes.values().stream().mapToLong(GardenEvidenceTest::pairs).sum();
        double precision = (double) right / together;
        double recall = (double) right / wanted;
        double f1 = 2 * precision * recall / (precision + recall);
        System.out.printf("kinds at Ostrel Gardens: precision %.3f, recall %.3f, F1 %.3f%n", precision, recall, f1);
        assertThat(f1).isGreaterThan(0.9);
    }

    private static long pairs(long count) {
        return count * (count - 1) / 2;
    }

    @Test
    void aFewMoreMessagesDoNotReshuffleTheList() {
        List<Kind> before = RecurringKinds.of(PAST.subList(0, 6_950), OWN);
        List<Kind> after = RecurringKinds.of(PAST, OWN);
        Map<String, Kind> byKey = new HashMap<>();
        after.forEach(kind -> byKey.put(kind.key(), kind));
        assertThat(before)
                .allSatisfy(kind -> assertThat(byKey.get(kind.key()).members())
                        .as(kind.toString())
                        .containsAll(kind.members()));
        assertThat(after.stream().limit(10).map(Kind::key))
                .containsExactlyInAnyOrderElementsOf(
                        before.stream().limit(10).map(Kind::key).toList());
    }

    @Test
    void theReviewFindsNothingAmissWithTheDemosRules() throws IOException {
        RuleBook book = RuleBookJson.read(Files.readString(Path.of("ostrel-gardens/rule-book.json")));
        assertThat(Review.of(
                        book,
                        GardenPast.evidence(),
                        OWN,
                        Prepared.nothing(),
                        Opening.usual(ZoneOffset.UTC),
                        GardenPast.END,
                        List.of(),
                        List.of()))
                .isEmpty();
    }

    /** From three school visits and three other messages of the same senders and words. */
    @Test
    void threeVisitsAndAnInvoiceAreToldApart() {
        List<Integer> visits = places("Guided visit for", 3);
        List<Integer> others = places("Invoice for our guided visit", 2);
        Suggestion first =
                Suggest.of(GardenPast.evidence(), visits, others, OWN).get(0);
        assertThat(first.missed()).isEmpty();
        assertThat(first.wrong()).isEmpty();
        assertThat(first.elsewhere())
                .hasSizeGreaterThan(20)
                .allMatch(place -> INBOX.get(place).kind().equals("school-visit"));
    }

    private static List<Integer> places(String subject, int count) {
        return IntStream.range(0, PAST.size())
                .filter(i -> PAST.get(i).subject().startsWith(subject))
                .limit(count)
                .boxed()
                .toList();
    }
}
