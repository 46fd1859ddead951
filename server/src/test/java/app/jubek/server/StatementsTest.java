package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.step.StepState;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * How much is asked of the database for one message. The numbers are what it takes today; one that grows is to be grown on
 * purpose.
 */
class StatementsTest extends ServerTest {
    private static final String CLAIM = "with busy ";
    private static final int TAKEN_IN_AND_PLANNED = 23;
    private static final int CLAIMED = 11;
    private static final int SETTLED = 2;

    @Test
    void oneMessageAndItsStepsAskOfTheDatabaseNoMoreThanTheyDid() {
        rules(rule(
                "statements",
                "how many statements",
                "continue",
                step("{'do':'forward','to':['education@ostrel-gardens.example']}"),
                step("{'do':'file','folder':'Seeds'}")));
        StatementRecord.clear();
        write("anna@school.example", World.VISITS, "how many statements", "24 pupils");
        await(
                "all is done",
                () -> steps("statements").stream()
                                .filter(s -> s.state() == StepState.SENT)
                                .count()
                        == 2);
        assertAtMost(TAKEN_IN_AND_PLANNED, StatementRecord.with("insert into message ", CLAIM));
        assertAtMost(CLAIMED, StatementRecord.with(CLAIM, "update mailbox "));
        assertAtMost(SETTLED, StatementRecord.with("update step set", CLAIM));
    }

    private static void assertAtMost(int limit, List<String> statements) {
        assertThat(statements).as("statements of one transaction").isNotEmpty().hasSizeLessThanOrEqualTo(limit);
    }
}
