package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.catchup.CatchUpNote;
import app.jubek.core.catchup.LeftOut;
import app.jubek.core.step.StepState;
import app.jubek.server.intake.Whereabouts;
import jakarta.mail.Flags;
import jakarta.mail.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Rules carried out on mail that is already there, and undone again, on a real mailbox. */
class CatchUpTest extends ServerTest {
    @Autowired
    private Whereabouts whereabouts;

    private Browser browser;

    @BeforeEach
    void signedIn() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
    }

    private String at(String path) {
        return "/api/mailboxes/" + mailbox + path;
    }

    private JsonNode begun(String rule, String folders) {
        return browser.post(at("/catch-ups"), """
                {"rules":["%s"],"folders":[%s],"subfolders":true,"days":30}""".formatted(rule, folders));
    }

    private String ready(String rule, String folders) {
        String id = begun(rule, folders).get("id").stringValue();
        awaitState(id, "READY");
        return at("/catch-ups/" + id);
    }

    private void awaitState(String id, String state) {
        await(
                "the catch-up is " + state,
                () -> browser.get(at("/catch-ups/" + id))
                        .get("state")
                        .stringValue()
                        .equals(state));
    }

    private void carriedOut(String path, String yes) {
        assertThat(browser.post(path + "/start", yes).get("state").stringValue())
                .isEqualTo("RUNNING");
        await("it is carried out", () -> {
            JsonNode now = browser.get(path);
            return now.get("state").stringValue().equals("DONE")
                    && now.get("open").intValue() == 0;
        });
    }

    /** Of messages with a word in their subject: folder, subject, marks and time of arrival. */
    private static List<String> lying(String word, String... folders) {
        List<String> all = new ArrayList<>();
        for (String folder : folders) {
            all.addAll(inFolder(World.VISITS, folder, messages -> {
                List<String> found = new ArrayList<>();
                for (Message message : messages) {
                    if (message.getSubject() != null && message.getSubject().contains(word)) {
                        found.add(folder + " " + message.getSubject() + " " + marks(message.getFlags()) + " "
                                + message.getReceivedDate().toInstant());
                    }
                }
                return found;
            }));
        }
        return all.stream().sorted().toList();
    }

    private static List<String> marks(Flags flags) {
        var named = new TreeMap<String, Boolean>();
        named.put("seen", flags.contains(Flags.Flag.SEEN));
        named.put("flagged", flags.contains(Flags.Flag.FLAGGED));
        Arrays.stream(flags.getUserFlags()).forEach(flag -> named.put(flag, true));
        return named.entrySet().stream().map(Object::toString).toList();
    }

    private static void read(String folder, String subject) {
        inFolder(World.VISITS, folder, messages -> {
            for (Message message : messages) {
                if (subject.equals(message.getSubject())) {
                    message.setFlags(new Flags(Flags.Flag.SEEN), true);
                }
            }
            return 0;
        });
    }

    @Test
    void oldMailOfFoldersIsPutInOrderAndLiesAsBeforeOnceThatIsUndone() {
        String[] folders = {"INBOX", "Walks", "Walks/2026", "Walks done", "Copies of walks"};
        rules();
        lay("INBOX", "old walk one");
        lay("Walks", "old walk two");
        lay("Walks/2026", "old walk three");
        lay("Walks", "old talk on walks");
        read("Walks/2026", "old walk three");
        settled();
        List<String> before = lying("alk", folders);
        rules(rule(
                "walks",
                "old walk",
                "stop here",
                step("{'do':'mark','flags':['\\\\Flagged','\\\\Seen','$Label2']}"),
                step("{'do':'copy','folder':'Copies of walks'}"),
                step("{'do':'file','folder':'Walks done'}")));

        String catchUp = ready("walks", "\"INBOX\",\"Walks\"");
        JsonNode preview = browser.get(catchUp + "/preview");
        assertThat(preview.get("messages").intValue()).as(preview.toString()).isEqualTo(3);
        assertThat(preview.get("does")).hasSize(3);
        assertThat(lying("alk", folders)).as("nothing is done yet").isEqualTo(before);
        carriedOut(catchUp, "{\"deletions\":0}");
        assertThat(lying("old walk", "Walks done")).hasSize(3).allMatch(line -> line.contains("flagged=true"));
        assertThat(lying("old walk", "Copies of walks")).hasSize(3);
        assertThat(lying("alk", "INBOX", "Walks", "Walks/2026")).hasSize(1);

        String all = "{\"catchUp\":\"" + browser.get(catchUp).get("id").stringValue() + "\"}";
        assertThat(browser.post(at("/undo/preview"), all).get("cannot")).isEmpty();
        assertThat(browser.post(at("/undo"), all).get("steps").intValue()).isEqualTo(9);
        await("all is undone", () -> browser.get(catchUp).get("undone").intValue() == 9);
        assertThat(lying("alk", folders)).isEqualTo(before);

        long two = jdbc.sql("select id from message where subject = 'old walk two'")
                .query(Long.class)
                .single();
        whereabouts.gone(mailbox, List.of(two));
        assertThat(steps("walks")).as("records outlive their mail").hasSize(18);
        JsonNode again = browser.get(ready("walks", "\"INBOX\",\"Walks\"") + "/preview");
        assertThat(again.get("messages").intValue())
                .as("undone is not done again")
                .isZero();
        assertThat(again.at("/left/0/why/code").stringValue()).isEqualTo(LeftOut.DONE_BEFORE.id());
    }

    @Test
    void nothingLeavesButWhatAPersonHasSeenTheNumberOf() {
        rules();
        write("ramp@school.example", World.VISITS, "old ramp one", "x");
        write("ramp@school.example", World.VISITS, "old ramp two", "x");
        settled();
        rules(rule(
                "ramps",
                "old ramp",
                "stop here",
                step("{'do':'redirect','to':['education@ostrel-gardens.example']}"),
                step("{'do':'reply','subject':'','text':'Thank you.'}"),
                step("{'do':'mark','flags':['\\\\Flagged']}")));
        String catchUp = ready("ramps", "\"INBOX\"");
        JsonNode quiet = browser.get(catchUp + "/preview");
        assertThat(quiet.get("handOvers").intValue() + quiet.get("replies").intValue())
                .isZero();
        JsonNode all = browser.get(catchUp + "/preview?handOvers=true&replies=true");
        assertThat(all.get("handOvers").intValue()).isEqualTo(2);
        assertThat(all.at("/answered/0/address").stringValue()).isEqualTo("ramp@school.example");
        assertThat(all.get("replies").intValue()).isEqualTo(1);
        for (String wrong : List.of("{\"handOvers\":1,\"deletions\":0}", "{\"replies\":2,\"deletions\":0}")) {
            assertThat(browser.send("POST", catchUp + "/start", wrong, "application/json")
                            .statusCode())
                    .as(wrong)
                    .isEqualTo(409);
        }
        carriedOut(catchUp, "{\"handOvers\":2,\"replies\":1,\"deletions\":0}");
        assertThat(steps("ramps"))
                .allMatch(step -> step.state() == StepState.SENT)
                .hasSize(5);
        assertThat(mail("education@ostrel-gardens.example", "INBOX"))
                .filteredOn(mail -> mail.contains("Subject: old ramp"))
                .hasSize(2);
        assertThat(mail("ramp@school.example", "INBOX"))
                .filteredOn(mail -> mail.contains("old ramp"))
                .hasSize(1);
    }

    @Test
    void aRuleThatIsChangedMeanwhilePausesItUntilAPersonHasLookedItOverAgain() {
        rules();
        write("anna@school.example", World.VISITS, "old gate", "x");
        settled();
        String rule = rule("gates", "old gate", "stop here", step("{'do':'file','folder':'Gates'}"));
        rules(rule);
        String catchUp = ready("gates", "\"INBOX\"");
        UUID id = UUID.fromString(browser.get(catchUp).get("id").stringValue());
        jdbc.sql("update catch_up set next_at = now() + interval '1 day' where id = ?")
                .param(id)
                .update();
        browser.post(catchUp + "/start", "{\"deletions\":0}");
        rules(rule.replace("Gates", "Old gates"));
        jdbc.sql("update catch_up set next_at = now() where id = ?").param(id).update();
        awaitState(id.toString(), "PAUSED");
        assertThat(browser.get(catchUp).at("/note/code").stringValue()).isEqualTo(CatchUpNote.RULES_CHANGED.id());
        assertThat(steps("gates")).isEmpty();
        assertThat(browser.post(catchUp + "/resume", "{}").get("state").stringValue())
                .isEqualTo("READY");
        assertThat(steps("gates")).isEmpty();
        browser.post(catchUp + "/start", "{\"deletions\":0}");
        await("it is carried out", () -> lying("old gate", "Old gates").size() == 1);
    }

    @Test
    void whatIsDoneEveryDayWaitsForItsNextTimeAndSkipsWhatAPersonMovedBack() {
        rules();
        write("anna@school.example", World.VISITS, "old fern", "x");
        settled();
        rules(rule("old-ferns", "old fern", "stop here", step("{'do':'file','folder':'Ferns'}")));
        String catchUp = ready("old-ferns", "\"INBOX\",\"Ferns\"");
        browser.post(catchUp + "/start", "{\"deletions\":0,\"every\":\"DAY\"}");
        String id = browser.get(catchUp).get("id").stringValue();
        awaitState(id, "WAITING");
        await("it is filed", () -> lying("old fern", "Ferns").size() == 1);
        inFolder(World.VISITS, "Ferns", messages -> {
            var folder = messages[0].getFolder();
            folder.copyMessages(messages, folder.getStore().getFolder("INBOX"));
            messages[0].setFlag(Flags.Flag.DELETED, true);
            return folder.expunge();
        });
        settled();
        jdbc.sql("update catch_up set next_at = now() where id = ?")
                .param(UUID.fromString(id))
                .update();
        await(
                "it was done again",
                () -> jdbc.sql("select next_at > now() from catch_up where id = ?")
                        .param(UUID.fromString(id))
                        .query(Boolean.class)
                        .single());
        awaitState(id, "WAITING");
        assertThat(lying("old fern", "INBOX")).hasSize(1);
        assertThat(steps("old-ferns")).hasSize(1);
        browser.post(catchUp + "/stop", "{}");
    }
}
