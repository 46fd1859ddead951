package app.jubek.server;

import static app.jubek.core.step.StepState.SENT;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.PlannedPhrase;
import app.jubek.core.wording.Wording;
import app.jubek.server.step.Work;
import jakarta.mail.Flags;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Steps that move, remove, mark or tell, on a real mailbox. */
class OtherStepsTest extends ServerTest {
    private boolean isDone(String rule) {
        return !steps(rule).isEmpty() && steps(rule).stream().allMatch(s -> s.state() == SENT);
    }

    private static List<String> subjects(String folder, String subject) {
        return mail(World.VISITS, folder).stream()
                .filter(m -> m.contains("Subject: " + subject))
                .toList();
    }

    /** RFC 6154 §2 names the folders; the post office marks them so. */
    @ParameterizedTest
    @CsvSource({"archive,Archive", "trash,Trash"})
    void aMessageGoesToTheFolderThatTheServerKeepsForIt(String what, String folder) {
        rules(rule(what, "to be in " + what, "stop here", step("{'do':'" + what + "'}")));
        write("anna@school.example", World.VISITS, "to be in " + what, "x");
        await("it is done", () -> isDone(what));
        assertThat(subjects(folder, "to be in " + what)).hasSize(1);
        assertThat(subjects("INBOX", "to be in " + what)).isEmpty();
    }

    /** As after a kill between the noting of where it lies and the noting that the step is done. */
    @Test
    void aMoveThatIsRepeatedAfterAllOfItWasDoneLeavesTheMessageThere() {
        rules(rule("moved-twice", "moved twice over", "stop here", step("{'do':'file','folder':'Moved twice'}")));
        write("anna@school.example", World.VISITS, "moved twice over", "x");
        await("it is done", () -> isDone("moved-twice"));
        jdbc.sql("update step set state = 'READY', due_at = now() where id = ?")
                .param(steps("moved-twice").get(0).id())
                .update();
        await(
                "it is done again",
                () -> isDone("moved-twice") && steps("moved-twice").get(0).attempts() == 2);
        assertThat(subjects("Moved twice", "moved twice over")).hasSize(1);
    }

    @Test
    void whatIsDeletedForGoodIsNowhereAndOthersMailMarkedAsDeletedStays() {
        rules(rule("gone", "delete this", "stop here", step("{'do':'delete'}")));
        write("anna@school.example", World.VISITS, "delete this", "x");
        await("it is done", () -> isDone("gone"));
        for (String folder : List.of("INBOX", "Trash", "Archive")) {
            assertThat(subjects(folder, "delete this")).as(folder).isEmpty();
        }
    }

    @Test
    void whatLeavesGoesToTheTrashOnlyOnceItWasHandedOn() {
        rules(rule(
                "leaves",
                "hand over and go",
                "stop here",
                step("{'do':'redirect','to':['gate@ostrel-gardens.example'],'leaves':true}")));
        World.get().office().bench().refuse("gate@ostrel-gardens.example", 451, 1);
        write("anna@school.example", World.VISITS, "hand over and go", "x");
        await("it is done", () -> isDone("leaves"));
        assertThat(steps("leaves")).extracting(s -> s.kind().name()).contains("REDIRECT", "TRASH");
        assertThat(subjects("Trash", "hand over and go")).hasSize(1);
        var redirected = steps("leaves").stream()
                .filter(s -> s.kind().leaves())
                .findFirst()
                .orElseThrow();
        var removed = steps("leaves").stream()
                .filter(s -> !s.kind().leaves())
                .findFirst()
                .orElseThrow();
        assertThat(removed.settledAt().orElseThrow())
                .isAfterOrEqualTo(redirected.settledAt().orElseThrow());
    }

    @Test
    void nothingGoesToTheTrashWhileItsHandOverIsHeldOnlyOnceThatIsDropped() {
        rules(rule(
                "held",
                "outside and away",
                "stop here",
                step("{'do':'redirect','to':['x@elsewhere.example']}"),
                step("{'do':'trash'}"),
                step("{'do':'mark','flags':['\\\\Flagged']}")));
        write("anna@school.example", World.VISITS, "outside and away", "x");
        await(
                "the mark is set",
                () -> steps("held").stream().anyMatch(s -> s.kind() == Work.MARK && s.state() == SENT));
        assertThat(subjects("INBOX", "outside and away")).hasSize(1);
        var handOver = steps("held").stream()
                .filter(s -> s.kind().leaves())
                .findFirst()
                .orElseThrow();
        new Browser(port)
                .signedIn("ilse", "greenhouse")
                .send(
                        "POST",
                        "/api/mailboxes/" + mailbox + "/steps/" + handOver.id() + "/DISCARD",
                        "",
                        "application/json");
        await("it is in the trash", () -> subjects("Trash", "outside and away").size() == 1);
    }

    @Test
    void whatCouldNotBeHandedOnIsBackInSightThoughItWasToBeTrashed() {
        rules(rule(
                "fails",
                "refused and away",
                "stop here",
                step("{'do':'redirect','to':['away@ostrel-gardens.example']}"),
                step("{'do':'mark','flags':['\\\\Seen']}"),
                step("{'do':'trash'}")));
        World.get().office().bench().refuse("away@ostrel-gardens.example", 550, 9);
        write("anna@school.example", World.VISITS, "refused and away", "x");
        await(
                "it is back",
                () -> steps("fails").stream()
                        .anyMatch(s -> s.done().is(PlannedPhrase.BROUGHT_BACK) && s.state() == SENT));
        Flags flags = flags(World.VISITS, "INBOX", "refused and away").get(0);
        assertThat(flags.contains(Flags.Flag.FLAGGED)).isTrue();
        assertThat(flags.contains(Flags.Flag.SEEN)).isFalse();
    }

    @Test
    void eachSenderOfAListHasAFolderOfItsOwn() {
        rules(rule("lists", "per sender", "stop here", step("{'do':'file','folder':'Writers','perSender':true}")));
        write("anna@school.example", World.VISITS, "per sender", "x");
        write("tom@school.example", World.VISITS, "per sender", "x");
        await("both are filed", () -> steps("lists").size() == 2 && isDone("lists"));
        assertThat(steps("lists"))
                .extracting(s -> Wording.english().of(s.done()))
                .containsExactlyInAnyOrder(
                        "filed in Writers/anna@school.example", "filed in Writers/tom@school.example");
    }

    @Test
    void whatARuleTellsIsAskedForByThePageOnce() {
        Browser browser = new Browser(port).signedIn("ilse", "greenhouse");
        String notices = "/api/mailboxes/" + mailbox + "/notices";
        long before = browser.get(notices).get("last").longValue();
        rules(rule("tells", "ring the bell", "continue", step("{'do':'notify','sound':'bell'}")));
        write("anna@school.example", World.VISITS, "ring the bell", "x");
        await("it is told", () -> isDone("tells"));
        var told = browser.get(notices + "?after=" + before);
        assertThat(told.get("notices")).hasSize(1);
        assertThat(told.at("/notices/0/sound").stringValue()).isEqualTo("bell");
        assertThat(told.at("/notices/0/message/subject").stringValue()).isEqualTo("ring the bell");
        assertThat(browser.get(notices + "?after=" + told.get("last").longValue())
                        .get("notices"))
                .isEmpty();
    }

    /** RFC 9051 §2.3.2: a keyword of ours beside the system flag. */
    @Test
    void whatIsToBeLookedAtByADayIsFlaggedTaggedAndOnTheDesk() {
        rules(rule("look", "by tomorrow", "continue", step("{'do':'remind','days':1}")));
        write("anna@school.example", World.VISITS, "by tomorrow", "x");
        await("it is marked", () -> isDone("look"));
        String day = LocalDate.now(ZoneId.of("Europe/Stockholm")).plusDays(1).toString();
        Flags flags = flags(World.VISITS, "INBOX", "by tomorrow").get(0);
        assertThat(flags.contains(Flags.Flag.FLAGGED)).isTrue();
        assertThat(flags.getUserFlags()).contains("look-by-" + day);
        var desk = new Browser(port).signedIn("ilse", "greenhouse").get("/api/mailboxes/" + mailbox + "/desk");
        assertThat(desk.at("/reminders/0/day").stringValue()).isEqualTo(day);
        assertThat(desk.at("/reminders/0/message/subject").stringValue()).isEqualTo("by tomorrow");
    }

    @Test
    void marksAreTakenOffAndImportanceIsAKeywordThatOtherProgramsKnow() {
        rules(rule(
                "marks",
                "mark this",
                "continue",
                step("{'do':'mark','flags':['\\\\Flagged'],'tags':['$Important','school'],'remove':['\\\\Seen']}")));
        write("anna@school.example", World.VISITS, "mark this", "x");
        await("it is marked", () -> isDone("marks"));
        Flags flags = flags(World.VISITS, "INBOX", "mark this").get(0);
        assertThat(flags.getUserFlags()).contains("$Important", "school");
        assertThat(flags.contains(Flags.Flag.SEEN)).isFalse();
    }

    private static final String TO_SEEDS = "{'do':'file','folder':'Orders','mailbox':'" + World.SEEDS + "'}";

    /** RFC 9051 §6.3.12: flags and date of arrival go along. */
    @Test
    void whatIsFiledInAnotherOwnMailboxIsThereWithItsMarksAndDateAndNoLongerHere() {
        rules(rule(
                "over",
                "order of seeds",
                "stop here",
                step(TO_SEEDS.replace("Orders", "Marked")),
                step("{'do':'mark','flags':['\\\\Flagged']}")));
        write("anna@school.example", World.VISITS, "order of seeds", "x");
        await("it is over there", () -> isDone("over"));
        assertThat(subjects("INBOX", "order of seeds")).isEmpty();
        assertThat(mail(World.SEEDS, "Marked")).singleElement().asString().contains("Subject: order of seeds");
        Flags flags = flags(World.SEEDS, "Marked", "order of seeds").get(0);
        assertThat(flags.contains(Flags.Flag.FLAGGED)).isTrue();
        assertThat(flags.contains(Flags.Flag.SEEN)).isFalse();
        Instant arrived =
                inFolder(World.SEEDS, "Marked", m -> m[0].getReceivedDate().toInstant());
        assertThat(arrived)
                .isEqualTo(jdbc.sql("select received_at from message where subject = 'order of seeds'")
                        .query((row, n) -> row.getTimestamp(1).toInstant())
                        .single());
    }

    @ParameterizedTest
    @ValueSource(strings = {"dropped-after-append", "dropped-after-expunge"})
    void whatBrokeOffOnTheWayToAnotherMailboxIsThereOnce(String trouble) {
        rules(rule(trouble, "order, " + trouble, "stop here", step("{'do':'copy','folder':'Kept'}"), step(TO_SEEDS)));
        World.get().office().bench().call(trouble, 1);
        write("anna@school.example", World.VISITS, "order, " + trouble, "x");
        await("it is over there", () -> isDone(trouble));
        assertThat(steps(trouble)).extracting(s -> s.attempts()).containsExactlyInAnyOrder(1, 2);
        assertThat(subjects("INBOX", "order, " + trouble)).isEmpty();
        assertThat(subjects("Kept", "order, " + trouble)).hasSize(1);
        assertThat(mail(World.SEEDS, "Orders").stream().filter(m -> m.contains("order, " + trouble)))
                .hasSize(1);
    }

    @Test
    void aCopyInAnotherMailboxLeavesTheMessageHereAndNothingIsRemovedWhileItsHandOverIsHeld() {
        rules(rule(
                "both",
                "copied and held",
                "stop here",
                step("{'do':'copy','folder':'INBOX','mailbox':'" + World.SEEDS + "'}"),
                step("{'do':'redirect','to':['x@elsewhere.example']}"),
                step(TO_SEEDS)));
        write("anna@school.example", World.VISITS, "copied and held", "x");
        await(
                "the copy is there",
                () -> mail(World.SEEDS, "INBOX").stream().anyMatch(m -> m.contains("copied and held")));
        assertThat(subjects("INBOX", "copied and held")).hasSize(1);
        assertThat(mail(World.SEEDS, "Orders")).noneMatch(m -> m.contains("copied and held"));
    }

    @Test
    void onlyMailboxesOfOnesOwnCanBeFiledIn() {
        Browser browser = new Browser(port).signedIn("ilse", "greenhouse");
        assertThat(browser.get("/api/session").at("/mailboxes/1/address").stringValue())
                .isEqualTo(World.SEEDS);
        String book = "/api/mailboxes/" + mailbox + "/rule-book";
        for (String other : List.of("stranger@ostrel-gardens.example", World.VISITS)) {
            String rules = rule("over", "x", "stop here", step(TO_SEEDS.replace(World.SEEDS, other)));
            String saving = "{\"baseVersion\":"
                    + browser.get(book).get("version").intValue()
                    + ",\"document\":{\"format\":\"jubek-rule-book\",\"formatVersion\":2,\"rules\":[" + rules + "]}}";
            var answer = browser.send("PUT", book, saving, "application/json");
            assertThat(answer.statusCode()).isEqualTo(422);
            assertThat(answer.body()).contains("not another mailbox of yours", "You may choose " + World.SEEDS);
        }
    }

    @Test
    void junkIsLeftAloneButForWhatARuleTakesOutOfThere() {
        lay("Junk", "old junk of the school");
        rules(rule(
                "rescue",
                "of the school",
                "continue",
                step("{'do':'out of junk'}"),
                step("{'do':'mark','flags':['\\\\Flagged']}")));
        write("anna@school.example", World.VISITS, "no junk of the school", "x");
        await("junk was looked into", () -> isDone("rescue"));
        lay("Junk", "journey of the school");
        lay("Junk", "cheap watches");
        await(
                "it is in the inbox",
                () -> !subjects("INBOX", "journey of the school").isEmpty());
        await("it is done", () -> isDone("rescue"));
        Flags flags = flags(World.VISITS, "INBOX", "journey of the school").get(0);
        assertThat(flags.getUserFlags()).contains("$NotJunk");
        assertThat(flags.contains(Flags.Flag.FLAGGED)).isTrue();
        assertThat(subjects("Junk", "")).hasSize(2);
        var records = new Browser(port)
                .signedIn("ilse", "greenhouse")
                .get("/api/mailboxes/" + mailbox + "/records")
                .get("records");
        assertThat(records.toString()).doesNotContain("cheap watches");
    }
}
