package app.jubek.server;

import static app.jubek.core.step.StepState.SENT;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** People and groups, and what rules and templates make of them. */
class AddressBookApiTest extends ServerTest {
    private Browser browser;

    @BeforeEach
    void signIn() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
        JsonNode book = browser.get(at("/address-book"));
        book.get("people")
                .forEach(p -> browser.send("DELETE", at("/people/" + p.get("id").stringValue()), "", ""));
    }

    private String at(String path) {
        return "/api/mailboxes/" + mailbox + path;
    }

    private String put(String path, String json) {
        return browser.send("PUT", at(path), json.replace('\'', '"'), "application/json")
                .body();
    }

    private String cards(String text) {
        String escaped = text.replace("\n", "\\r\\n");
        return browser.send("POST", at("/cards"), "{\"cards\":\"" + escaped + "\"}", "application/json")
                .body();
    }

    private static String card(String name, String address, String more) {
        return "BEGIN:VCARD\nVERSION:4.0\nFN:" + name + "\nEMAIL:" + address + "\n" + more + "END:VCARD\n";
    }

    @Test
    void cardsCompleteWhoIsThereAndComeOutAgain() {
        assertThat(cards(card("Noor Adel", "noor@ostrel-gardens.example", "") + card("Tom Berg", "tom@x.example", "")))
                .contains("\"added\":2");
        assertThat(cards(card("", "NOOR@ostrel-gardens.example", "TEL:+46 8 123\n")))
                .contains("\"added\":0", "\"completed\":1");
        assertThat(cards("nothing of the sort")).contains("BEGIN:VCARD");
        String out = browser.send("GET", at("/cards"), "", "").body();
        assertThat(out).contains("FN:Noor Adel", "+46 8 123", "tom@x.example");
    }

    @Test
    void entriesOfOnePersonAreFoundAndMadeOne() {
        cards(card("Mara Lind", "mara@a.example", "") + card("Mara Lind", "mara@b.example", ""));
        JsonNode same = browser.get(at("/address-book")).at("/duplicates/0");
        assertThat(same).hasSize(2);
        browser.send("POST", at("/people/merge"), "{\"people\":" + same + "}", "application/json");
        JsonNode people = browser.get(at("/address-book")).get("people");
        assertThat(people)
                .singleElement()
                .satisfies(p -> assertThat(p.at("/written/addresses")).hasSize(2));
    }

    @Test
    void aGroupIsHandedOnToByNameAndKeepsItWhileARuleUsesIt() {
        String id = UUID.randomUUID().toString();
        put(
                "/groups/" + id,
                "{'name':'Guides','members':['noor@ostrel-gardens.example','tomas@ostrel-gardens.example']}");
        rules(rule("guides", "for all guides", "continue", step("{'do':'forward','to':[],'groups':['Guides']}")));
        write("anna@school.example", World.VISITS, "for all guides", "x");
        await(
                "both got it",
                () -> steps("guides").stream().filter(s -> s.state() == SENT).count() == 2);
        assertThat(put("/groups/" + id, "{'name':'Leaders','members':[]}")).contains("while guides asks for it");
        assertThat(put("/groups/" + UUID.randomUUID(), "{'name':'GUIDES','members':[]}"))
                .contains("There is a group");
        assertThat(put("/groups/" + UUID.randomUUID(), "{'name':'Other','members':['nowhere']}"))
                .contains("is not a mail address");
    }

    @Test
    void knownPeopleAndContactDetailsReachRulesAndTemplates() {
        cards(card("Liv Strand", "liv@known.example", "ORG:Birkhall School\n"));
        put(
                "/templates/contact",
                "{'baseVersion':0,'written':{'name':'Contact','language':'en-GB',"
                        + "'subject':'s','text':'To {{contact.organisation}}','fallbacks':{'contact.organisation':'you'}}}");
        rules(rule("contact", "who am i", "stop here", step("{'do':'reply','template':'contact'}")));
        write("liv@known.example", World.VISITS, "who am i", "x");
        write("somebody@unknown.example", World.VISITS, "who am i", "x");
        await(
                "both are answered",
                () -> steps("contact").stream().filter(s -> s.state() == SENT).count() == 2);
        assertThat(mail("liv@known.example", "INBOX").get(0)).contains("To Birkhall School");
        assertThat(mail("somebody@unknown.example", "INBOX").get(0)).contains("To you");
    }
}
