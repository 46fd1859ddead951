package app.jubek.core.recurring;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How well a grouping agrees with a truth: over all pairs of messages of which at least one has a label, those put
 * together rightly, wrongly and not.
 */
record Pairs(double precision, double recall) {
    double f1() {
        return 2 * precision * recall / (precision + recall);
    }

    /**
     * @param labels by the message's place; an empty one belongs nowhere
     */
    static Pairs of(List<Kind> kinds, List<String> labels) {
        long together = 0;
        long right = 0;
        for (Kind kind : kinds) {
            Map<String, Long> counts = new HashMap<>();
            kind.members().forEach(place -> counts.merge(labels.get(place), 1L, Long::sum));
            long unlabelled = counts.getOrDefault("", 0L);
            together += pairs(kind.size()) - pairs(unlabelled);
            right += counts.entrySet().stream()
                    .filter(e -> !e.getKey().isEmpty())
                    .mapToLong(e -> pairs(e.getValue()))
                    .sum();
        }
        Map<String, Long> sizes = new HashMap<>();
        labels.stream().filter(label -> !label.isEmpty()).forEach(label -> sizes.merge(label, 1L, Long::sum));
        long wanted = sizes.values().stream().mapToLong(Pairs::pairs).sum();
        return new Pairs((double) right / together, (double) right / wanted);
    }

    private static long pairs(long count) {
        return count * (count - 1) / 2;
    }
}
