package app.jubek.formats.rulebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class EveryPartTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static JsonNode rule(String picksOut, String step) {
        return JSON.readTree("{\"id\":\"a\",\"version\":3,\"name\":\"n\",\"picksOut\":" + picksOut + ",\"does\":["
                + step + "],\"ending\":\"ends here\",\"on\":false}");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'everything':true}",
                "{'part':'sender','how':'is','values':['a@x.example','b@x.example']}",
                "{'part':'sender','how':'at domain','values':['x.example'],'not':true}",
                "{'part':'recipient','how':'at domain or below','values':['x.example']}",
                "{'part':'sender name','how':'contains','values':['Anna']}",
                "{'part':'subject','how':'contains','values':['a','b'],'not':true}",
                "{'part':'text','how':'contains','values':['Führung']}",
                "{'all':[{'any':[{'none':[{'part':'subject or text','how':'contains','values':['x']}]}]}]}"
            })
    void everyCriterionIsWrittenBackAsItWasRead(String criterion) {
        JsonNode rule = rule(criterion.replace('\'', '"'), "{\"do\":\"file\",\"folder\":\"Seeds\"}");
        assertThat(RuleBookJson.write(RuleBookJson.readRule(rule))).isEqualTo(rule);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'do':'forward','to':['a@x.example']}",
                "{'do':'forward','to':['a@x.example','b@x.example'],'note':'For you.'}",
                "{'do':'redirect','to':['a@x.example']}",
                "{'do':'reply','subject':'','text':'Thank you.','oncePerDays':14}",
                "{'do':'file','folder':'Seeds/2026'}",
                "{'do':'mark','flags':['\\\\Seen','\\\\Flagged']}",
                "{'do':'mark','flags':[],'tags':['school-2026']}"
            })
    void everyStepIsWrittenBackAsItWasRead(String step) {
        JsonNode json = JSON.readTree(step.replace('\'', '"'));
        assertThat(RuleBookJson.write(RuleBookJson.readStep(json.toString()))).isEqualTo(json);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'part':'moon','how':'is','values':['a']} | /picksOut/part: \"moon\" is not known",
                "{'part':'sender','how':'contains','values':['a']} | /picksOut/how: for addresses must be",
                "{'part':'subject','how':'is','values':['a']} | /picksOut/how: for words must be \"contains\"",
                "{'part':'subject','how':'contains','values':[]} | /picksOut: a criterion needs at least one value",
                "{'part':'subject','how':'contains','values':[3]} | /picksOut/values/0: must be text",
                "{'part':'subject','how':'contains','values':'a'} | /picksOut/values: must be a list",
                "{'part':'sender','how':'at domain','values':['a b']} | /picksOut/values/0: \"a b\" is not a domain",
                "{'everything':false} | /picksOut/everything: can only be true",
                "[] | /picksOut: must be an object"
            })
    void whatIsWrongIsNamedWithItsPlace(String criterion, String fault) {
        FormatException refused = catchThrowableOfType(
                FormatException.class,
                () -> RuleBookJson.readRule(
                        rule(criterion.replace('\'', '"'), "{\"do\":\"file\",\"folder\":\"Seeds\"}")));
        assertThat(refused.faults()).anyMatch(f -> f.toString().startsWith(fault));
    }
}
