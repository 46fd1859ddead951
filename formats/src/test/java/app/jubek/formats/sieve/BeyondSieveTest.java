package app.jubek.formats.sieve;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.rule.RuleBook;
import app.jubek.formats.rulebook.RuleBookJson;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a script has no words for is listed with its cause, never written as something else. */
class BeyondSieveTest {
    private static SieveWriting.Written write(String step) {
        String rule = "{'id':'r','version':1,'name':'r','picksOut':{'part':'subject','how':'contains','values':['a']},"
                + "'does':[" + step + "],'ending':'continue','on':true}";
        RuleBook book = RuleBookJson.read(
                ("{'format':'jubek-rule-book','formatVersion':1,'rules':[" + rule + "]}").replace('\'', '"'));
        return SieveWriting.write(book, ServerClock.unknown());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "{'do':'reply','template':'visits'} | has no templates",
                "{'do':'reply','text':'x','timesADay':3} | once",
                "{'do':'reply','text':'x','quotes':true} | without a quote",
                "{'do':'reply','text':'x','copies':['a@x.example']} | return path only",
                "{'do':'reply','text':'x','answersTo':{'part':'reply to'}} | return path only",
                "{'do':'reply','text':'Dear {{sender.name}}'} | fills no fields",
                "{'do':'reply','text':'x','keepsUnanswered':true},{'do':'archive'} | keep in the inbox",
                "{'do':'redirect','to':[],'groups':['Guides']} | no groups",
                "{'do':'redirect','to':['a@x.example'],'release':'on approval'} | sends at once",
                "{'do':'file','folder':'Senders','perSender':true} | a folder for each sender",
                "{'do':'copy','folder':'Words','perValue':true} | a folder for each value listed",
                "{'do':'file','folder':'INBOX','mailbox':'seeds@x.example'} | in another mailbox"
            })
    void aRuleThatWouldBeAnotherOneWithoutItIsLeftOut(String step, String cause) {
        SieveWriting.Written written = write(step);
        assertThat(written.script()).doesNotContain("if ");
        assertThat(written.notCarried())
                .singleElement()
                .satisfies(not -> assertThat(not.toString()).contains("is left out: a script", cause));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "{'do':'notify','sound':'bell'} | to be shown as a notice: a script can't, so this is left out",
                "{'do':'remind','days':1} | with a reminder the next day: a script can't, so this is left out",
                "{'do':'out of junk'} | a script sees nothing that lies in junk",
                "{'do':'forward','to':['a@x.example']} | a script can't make a new message"
            })
    void aStepBesideOthersIsLeftOutAlone(String step, String cause) {
        SieveWriting.Written written = write("{'do':'keep'}," + step);
        assertThat(written.script()).contains("keep;");
        assertThat(written.notCarried())
                .singleElement()
                .satisfies(not -> assertThat(not.toString()).contains(cause));
    }

    /** RFC 8579 §4 for the special use; the archive is a folder like others there. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "{'do':'archive'} | fileinto :specialuse \"\\\\Archive\" \"Archive\";",
                "{'do':'trash'} | fileinto :specialuse \"\\\\Trash\" \"Trash\";",
                "{'do':'delete'} | discard;"
            })
    void whatAScriptHasWordsForIsWritten(String step, String action) {
        SieveWriting.Written written = write(step);
        assertThat(written.notCarried()).isEmpty();
        assertThat(written.script()).contains(action);
    }
}
