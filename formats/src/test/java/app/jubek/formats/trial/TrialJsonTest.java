package app.jubek.formats.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.rule.RuleId;
import app.jubek.core.trial.Expectation;
import app.jubek.formats.rulebook.FormatException;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class TrialJsonTest {
    private static final WrittenTrial TRIAL = new WrittenTrial(
            "Photo permit?",
            Instant.parse("2026-11-03T10:12:00Z"),
            true,
            List.of(
                    Expectation.picked(new RuleId("photos"), true),
                    new Expectation(Expectation.Fate.HANDED_ON_TO, "Education@ostrel-gardens.example", true),
                    Expectation.noReply(),
                    new Expectation(Expectation.Fate.IN_INBOX, "", false)));

    @Test
    void aTrialIsReadAsItWasWritten() {
        assertThat(TrialJson.read(TrialJson.write(TRIAL))).isEqualTo(TRIAL);
        assertThat(TrialJson.write(TRIAL)).contains("\"what\" : \"handed on to\"");
    }

    @Test
    void whatIsWrongIsSaidWithItsPlace() {
        assertThatThrownBy(() -> TrialJson.read("{\"trial\":1,\"name\":\"a\",\"at\":\"today\",\"expect\":"
                        + "[{\"what\":\"eaten\",\"must\":true},{\"what\":\"filed in\",\"must\":1}]}"))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("/at: must be an instant")
                .hasMessageContaining("/expect/0/what: \"eaten\" is not known")
                .hasMessageContaining("/expect/1/must")
                .hasMessageContaining("/expect/1/of");
        assertThatThrownBy(() -> TrialJson.read("{")).hasMessageContaining("is no JSON");
    }
}
