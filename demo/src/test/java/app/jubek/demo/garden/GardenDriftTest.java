package app.jubek.demo.garden;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.drift.Drift;
import app.jubek.core.drift.Drifts;
import app.jubek.core.recurring.RecurringKinds;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Changes planted in the last four weeks of each kind of the garden's mail, known by what the mail was made from. */
class GardenDriftTest {
    private static final Instant BEGIN = GardenPast.END.minus(Duration.ofDays(180));
    private static final Instant SINCE = GardenPast.END.minus(Duration.ofDays(28));
    private static final int KNOWN = 6;
    private static final int LATE = 3;

    /** The messages of each kind by their place among all, where there are enough before and after the change. */
    private static final Map<String, List<Integer>> KINDS = kinds();

    private static Map<String, List<Integer>> kinds() {
        Map<String, List<Integer>> kinds = IntStream.range(0, GardenPast.INBOX.size())
                .filter(i -> !GardenPast.INBOX.get(i).received().isBefore(BEGIN))
                .boxed()
                .collect(Collectors.groupingBy(i -> GardenPast.INBOX.get(i).kind(), TreeMap::new, Collectors.toList()));
        kinds.values()
                .removeIf(places -> places.stream().filter(i -> !isLate(i)).count() < KNOWN
                        || places.stream().filter(GardenDriftTest::isLate).count() < LATE);
        return kinds;
    }

    private static boolean isLate(int place) {
        return !GardenPast.INBOX.get(place).received().isBefore(SINCE);
    }

    /** The value that nine in ten messages of a kind have. */
    private static Optional<String> shared(List<Integer> places, Function<PastMessage, String> value) {
        Map<String, Long> counts = places.stream()
                .collect(Collectors.groupingBy(
                        i -> value.apply(GardenPast.MESSAGES.get(i)), TreeMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .filter(e -> !e.getKey().isEmpty() && e.getValue() >= 0.9 * places.size())
                .map(Map.Entry::getKey)
                .findFirst();
    }

    private static String firstWords(PastMessage message) {
        String[] words = message.subject().split(" ");
        return words.length < 3 ? "" : words[0] + " " + words[1];
    }

    private interface Change {
        String of(String header, String value);
    }

    private record Measured(int rules, double precision, double recall) {}

    private static Measured measured(Map<String, String> values, Map<String, Rule> rules, Change change) {
        Map<Integer, String> planted = new TreeMap<>();
        values.forEach((kind, value) ->
                KINDS.get(kind).stream().filter(GardenDriftTest::isLate).forEach(i -> planted.put(i, value)));
        List<PastMessage> messages = new ArrayList<>();
        for (int i = 0; i < GardenPast.INBOX.size(); i++) {
            PastMessage message = GardenPast.MESSAGES.get(i);
            if (!message.received().isBefore(BEGIN)) {
                messages.add(planted.containsKey(i) ? changed(i, planted.get(i), change) : message);
            }
        }
        Corpus corpus = new Corpus(1_000, Long.MAX_VALUE);
        messages.forEach(corpus::add);
        Corpus.View view = corpus.since(Instant.EPOCH);
        List<PastMessage> inOrder =
                IntStream.range(0, view.size()).mapToObj(view::message).toList();
        Map<String, List<Drift>> found = Drifts.of(
                        new RuleBook(List.copyOf(rules.values()), new Nothing()),
                        view,
                        SINCE,
                        RecurringKinds.of(inOrder, GardenPast.OWN),
                        GardenPast.OWN,
                        Opening.usual(ZoneOffset.UTC))
                .stream()
                .collect(Collectors.groupingBy(drift -> drift.rule().name()));
        return compared(rules, view, found);
    }

    private static PastMessage changed(int place, String value, Change change) {
        String raw = new String(GardenPast.INBOX.get(place).bytes(), StandardCharsets.UTF_8);
        int body = raw.indexOf("\r\n\r\n");
        String written = change.of(raw.substring(0, body), value) + raw.substring(body);
        return GardenPast.past(place, written.getBytes(StandardCharsets.UTF_8));
    }

    /** Of what each rule no longer picks: what the changes that are found would pick again, and what else. */
    private static Measured compared(Map<String, Rule> rules, Corpus.View view, Map<String, List<Drift>> found) {
        double precision = 0;
        double recall = 0;
        for (Map.Entry<String, Rule> each : rules.entrySet()) {
            BitSet picked = view.holding(each.getValue().picksOut());
            BitSet lost = new BitSet();
            BitSet taken = new BitSet();
            for (int at = 0; at < view.size(); at++) {
                int place = (int) view.message(at).id();
                if (!picked.get(at) && isLate(place) && KINDS.get(each.getKey()).contains(place)) {
                    lost.set(at);
                }
            }
            found.getOrDefault(each.getValue().name(), List.of()).forEach(drift -> {
                taken.or(drift.shown());
                taken.or(drift.others());
            });
            long right = taken.stream().filter(at -> lost.get(at)).count();
            precision += taken.isEmpty() ? 1 : (double) right / taken.cardinality();
            recall += (double) right / lost.cardinality();
        }
        return new Measured(rules.size(), precision / rules.size(), recall / rules.size());
    }

    private static Map<String, Rule> rules(Map<String, String> values, Function<String, Criterion> of) {
        Map<String, Rule> rules = new TreeMap<>();
        values.forEach((kind, value) -> rules.put(
                kind,
                new Rule(
                        new RuleId("r" + rules.size()),
                        1,
                        kind,
                        of.apply(value),
                        new Nothing(),
                        List.of(),
                        Ending.CONTINUE,
                        true)));
        return rules;
    }

    @Test
    void sendersWithNewAddressesAreFound() {
        Map<String, String> senders = new TreeMap<>();
        KINDS.forEach((kind, places) ->
                shared(places, PastMessage::senderKey).ifPresent(sender -> senders.put(kind, sender)));
        Measured measured = measured(
                senders,
                rules(
                        senders,
                        sender -> new AddressCriterion(
                                AddressCriterion.AddressField.SENDER,
                                AddressCriterion.AddressMatch.IS,
                                List.of(sender),
                                false)),
                (header, sender) -> header.replace(
                        sender,
                        "office." + MailAddress.of(sender).local() + "@moved-"
                                + MailAddress.of(sender).domain()));
        System.out.println("renamed senders of the garden: " + measured);
        assertThat(measured.precision()).isGreaterThan(0.95);
        assertThat(measured.recall()).isGreaterThan(0.95);
    }

    @Test
    void changedWordingsAreFound() {
        Map<String, String> begins = new TreeMap<>();
        KINDS.forEach((kind, places) ->
                shared(places, GardenDriftTest::firstWords).ifPresent(words -> begins.put(kind, words)));
        Measured measured = measured(
                begins,
                rules(begins, words -> TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(words))),
                (header, words) ->
                        header.replace("Subject: " + words, "Subject: " + new StringBuilder(words).reverse()));
        System.out.println("changed wordings of the garden: " + measured);
        assertThat(measured.precision()).isGreaterThan(0.95);
        assertThat(measured.recall()).isGreaterThan(0.95);
    }
}
