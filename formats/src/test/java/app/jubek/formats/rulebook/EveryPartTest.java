package app.jubek.formats.rulebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class EveryPartTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static JsonNode rule(String picksOut, String step) {
        return JSON.readTree("{\"id\":\"a\",\"version\":3,\"name\":\"n\",\"picksOut\":" + picksOut + ",\"does\":["
                + step + "],\"ending\":\"stop here\",\"on\":false}");
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
                "{'part':'sender','how':'contains','values':['school']}",
                "{'part':'subject','how':'is','values':['Guided visit']}",
                "{'part':'subject','how':'begins','withPrefixes':true,'values':['Re: visit']}",
                "{'part':'what the sender added','how':'whole words','values':['visit']}",
                "{'part':'field','field':'x-kind','how':'wildcard','compare':'ascii case','values':['a*b?']}",
                "{'part':'address','field':'reply-to','piece':'detail','how':'is','compare':'exact','values':['x']}",
                "{'part':'return path','piece':'domain','how':'is','values':['x.example']}",
                "{'part':'attachment name','how':'pattern','compare':'without accents','values':['\\\\.pdf$']}",
                "{'part':'field','field':'list-id','how':'is present','not':true}",
                "{'part':'size','how':'over','value':1048576}",
                "{'part':'count','of':[{'part':'field','field':'to'}],'how':'at least','value':3}",
                "{'part':'field','field':'x-score','how':'at least','order':'numeric','values':['5']}",
                "{'part':'date','field':'received/hour/+0200','how':'is','values':['09']}",
                "{'part':'sent by','how':'is','values':['list','automatic reply']}",
                "{'part':'group','how':'is','values':['teachers'],'not':true}",
                "{'part':'relationship','how':'is','values':['written to me','conversation']}",
                "{'all':[{'any':[{'none':[{'part':'subject or text','how':'contains','values':['x']}]}]}]}"
            })
    void everyCriterionIsWrittenBackAsItWasRead(String criterion) {
        JsonNode rule = rule(criterion.replace('\'', '"'), "{\"do\":\"file\",\"folder\":\"Seeds\"}");
        assertThat(RuleBookJson.write(RuleBookJson.readRule(rule))).hasToString(rule.toString());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'hours':'outside opening hours'}",
                "{'hours':'inside opening hours','first':'2026-12-01'}",
                "{'hours':'always','first':'2026-12-01','last':'2026-12-24'}",
                "{'hours':'outside opening hours','of':'Ticket desk','closedDays':'not','last':'2026-12-24'}",
                "{'hours':'always','closedDays':'only'}",
                "{'hours':'always','first':'2026-12-01','last':'2026-12-24','further':[{'first':'2027-01-02'}]}",
                "{'hours':'always','recurs':{'rule':'FREQ=MONTHLY;BYDAY=1MO','from':'2026-01-01'}}"
            })
    void everyScheduleIsWrittenBackAsItWasRead(String active) {
        ObjectNode rule = (ObjectNode) rule("{\"everything\":true}", "{\"do\":\"keep\"}");
        rule.remove("on");
        rule.set("active", JSON.readTree(active.replace('\'', '"')));
        rule.put("on", false);
        assertThat(RuleBookJson.write(RuleBookJson.readRule(rule))).hasToString(rule.toString());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'do':'forward','to':['a@x.example']}",
                "{'do':'forward','to':['a@x.example','b@x.example'],'note':'For you.'}",
                "{'do':'redirect','to':['a@x.example']}",
                "{'do':'reply','subject':'','text':'Thank you.','oncePerDays':14}",
                "{'do':'reply','template':'visits','oncePerDays':7}",
                "{'do':'reply','template':'visits','timesADay':3,'key':'documents','quotes':true,'copies':['a@x.example'],'aliases':['c@x.example'],"
                        + "'from':'b@x.example','inConversations':true,'keepsUnanswered':true}",
                "{'do':'reply','template':'visits','oncePerDays':7,'answersTo':{'part':'reply to'}}",
                "{'do':'reply','template':'visits','oncePerDays':7,"
                        + "'answersTo':{'part':'text','pattern':'a (b@c)','forms':['form@x.example']}}",
                "{'do':'forward','to':['a@x.example'],'groups':['Guides'],'noteTemplate':'visits','subject':'New',"
                        + "'attached':true,'from':'b@x.example','answersGo':'to both'}",
                "{'do':'forward','to':[],'groups':['Guides'],'prefix':'For you:'}",
                "{'do':'redirect','to':[],'groups':['Guides'],'leaves':true}",
                "{'do':'redirect','to':['a@x.example'],'afterMinutes':10}",
                "{'do':'forward','to':['a@x.example'],'release':'at opening'}",
                "{'do':'reply','template':'visits','oncePerDays':7,'release':'first on approval'}",
                "{'do':'reply','instruction':'Say which day is asked for.','template':'visits','oncePerDays':7}",
                "{'do':'remind','days':3}",
                "{'do':'notify','sound':'drop'}",
                "{'do':'archive'}",
                "{'do':'file','folder':'Senders','perSender':true}",
                "{'do':'file','folder':'Seeds/2026'}",
                "{'do':'mark','flags':['\\\\Seen','\\\\Flagged']}",
                "{'do':'mark','flags':[],'tags':['school-2026']}",
                "{'do':'mark','flags':['\\\\Seen'],'remove':['\\\\Flagged','later']}",
                "{'do':'redirect','to':['a@x.example'],'leaves':true}",
                "{'do':'copy','folder':'Archive'}",
                "{'do':'trash'}",
                "{'do':'delete'}",
                "{'do':'keep'}"
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
                "{'part':'subject','how':'smells','values':['a']} | /picksOut/how: \"smells\" is not known here; known are",
                "{'part':'subject','how':'pattern','values':['(']} | /picksOut/values/0: \"(\" is no pattern",
                "{'part':'subject','field':'x','how':'is','values':['a']} | /picksOut/field: is for the parts",
                "{'part':'date','field':'now/century/','how':'is','values':['a']} | /picksOut: \"century\" is no piece",
                "{'part':'sent by','values':['a ghost']} | /picksOut/values/0: \"a ghost\" is not known",
                "{'part':'size','how':'over','value':'much'} | /picksOut/value: must be a whole number",
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
