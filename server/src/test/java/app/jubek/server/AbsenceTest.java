package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.absence.AbsenceRules;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.step.StepState;
import app.jubek.core.text.Limits;
import app.jubek.server.absence.Returns;
import app.jubek.server.absence.Substitutes;
import app.jubek.server.deciding.DecidedAnew;
import app.jubek.server.mailbox.Mailboxes;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Being away, from the plan to the summary, over real mail. */
class AbsenceTest extends ServerTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Stockholm"));
    private static final String TEUN = "teun@ostrel-gardens.example";
    private static final String TEMPLATE = """
            {"baseVersion":0,"written":{"name":"%s","language":"%s","subject":"Away","text":"%s","rich":"",
             "signature":"","documents":[],"fallbacks":{"absence.substitute":"nobody","absence.lastDay":"soon"}}}""";

    @Autowired
    private Substitutes substitutes;

    @Autowired
    private Returns returns;

    @Autowired
    private DecidedAnew anew;

    @Autowired
    private Mailboxes mailboxes;

    @Autowired
    private Clock clock;

    private Browser browser;

    @BeforeEach
    void signIn() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
        template("away-en", "en-GB", "Until {{absence.lastDay}}. Meanwhile: {{absence.substitute}}");
        template("away-de", "de", "Bis {{absence.lastDay}}. Inzwischen: {{absence.substitute}}");
        rules(rule("aspens", "aspen", "continue", step("{'do':'mark','tags':['looked-at']}")));
    }

    @AfterEach
    void nobodyIsAway() {
        jdbc.sql("delete from absence").update();
        books.renewTail(mailbox, "test");
        rules();
    }

    private String at(String path) {
        return "/api/mailboxes/" + mailbox + path;
    }

    private void template(String id, String language, String text) {
        browser.send("PUT", at("/templates/" + id), TEMPLATE.formatted(id, language, text), "application/json");
    }

    private static String form(LocalDate first, LocalDate last, String substitute) {
        return """
                {"first":"%s","last":"%s","audience":"EVERYONE","groups":[],"templates":["away-en","away-de"],
                 "takingOver":{"address":"%s","name":"Teun Baas","share":"OF_RULES","rules":["aspens"],
                 "redirected":true,"daysBefore":2}}""".formatted(first, last, substitute);
    }

    private String plan(LocalDate first, LocalDate last) {
        return browser.post(at("/absences"), form(first, last, TEUN)).get("id").stringValue();
    }

    private JsonNode planned(String id) {
        for (JsonNode one : browser.get(at("/absences")).get("absences")) {
            if (one.get("id").stringValue().equals(id)) {
                return one;
            }
        }
        throw new AssertionError("there is no absence " + id);
    }

    private static String answer(String sender) {
        return mail(sender, "INBOX").stream()
                .filter(mail -> mail.contains("Subject: Away"))
                .reduce("", String::concat);
    }

    private void agree(String word) {
        String id = inFolder(
                TEUN, "INBOX", messages -> messages[messages.length - 1].getHeader("Message-ID")[0]);
        String mail = "From: " + TEUN + "\r\nTo: " + World.VISITS + "\r\nSubject: Re: stand in\r\nMessage-ID: <"
                + UUID.randomUUID() + "@ostrel-gardens.example>\r\nIn-Reply-To: " + id + "\r\n\r\n" + word + "\r\n";
        send(TEUN, World.VISITS, mail.getBytes(StandardCharsets.UTF_8));
    }

    private List<StepState> handedOver(String id) {
        return steps("absence-" + id + "-hand-over").stream()
                .filter(step -> step.recipient().equals(TEUN))
                .map(step -> step.state())
                .toList();
    }

    @Test
    void eachSenderIsAnsweredOnceAndTheSubstituteGetsMailOnceAgreed() {
        String id = plan(TODAY.minusDays(1), TODAY.plusDays(3));
        substitutes.tellDue(clock.instant());
        await("asked", () -> mail(TEUN, "INBOX").stream().anyMatch(mail -> mail.contains("Will you stand in?")));
        write("anna@alder.example", World.VISITS, "aspen leaves", "May I ask you a question about the garden?");
        await("answered", () -> !answer("anna@alder.example").isEmpty());
        assertThat(answer("anna@alder.example")).contains("Until ", "Meanwhile: nobody");
        await("it waits", () -> handedOver(id).equals(List.of(StepState.HELD)));

        agree("AGREE");
        await("what waited is handed over", () -> handedOver(id).equals(List.of(StepState.SENT)));
        assertThat(planned(id).get("standing").stringValue()).isEqualTo("AGREED");
        write("bert@alder.example", World.VISITS, "Frage", "Guten Tag, haben Sie am Sonntag den ganzen Tag geöffnet?");
        write("anna@alder.example", World.VISITS, "aspen again", "One more question about the garden, please.");
        await("the next one", () -> !answer("bert@alder.example").isEmpty());
        assertThat(answer("bert@alder.example")).contains("Inzwischen: Teun Baas (" + TEUN + ")");
        await("the second message is handed over, too", () -> handedOver(id).size() == 2);
        assertThat(answer("anna@alder.example").split("Subject: Away", -1)).hasSize(2);
    }

    @Test
    void comingBackEarlyEndsItAsAWholeAndSumsUp() {
        String id = plan(TODAY.minusDays(1), TODAY.plusDays(3));
        write("carla@birch.example", World.VISITS, "birch bark", "A question about opening hours.");
        await("answered", () -> !answer("carla@birch.example").isEmpty());
        assertThat(browser.send("DELETE", at("/absences/" + id), "", "application/json")
                        .statusCode())
                .isEqualTo(200);
        assertThat(planned(id).get("over").booleanValue()).isTrue();
        write("dirk@birch.example", World.VISITS, "birch twigs", "A question about opening hours.");
        await("it came in", () -> mail(World.VISITS, "INBOX").stream().anyMatch(mail -> mail.contains("birch twigs")));
        JsonNode summary = browser.get(at("/absences/" + id + "/summary"));
        assertThat(summary.at("/senders").toString()).contains("carla@birch.example");
        assertThat(summary.at("/lines/1/sort").stringValue()).isEqualTo("ANSWERED");
        assertThat(summary.at("/lines/1/messages/0/subject").stringValue()).isEqualTo("birch bark");
        returns.sumUpDue(clock.instant());
        await(
                "told by mail",
                () -> mail(World.VISITS, "INBOX").stream()
                        .anyMatch(mail -> mail.contains("Subject: While you were away")));
        returns.sumUpDue(clock.instant());
        assertThat(answer("dirk@birch.example")).isEmpty();
        assertThat(mail(World.VISITS, "INBOX"))
                .filteredOn(mail -> mail.contains("While you were away"))
                .hasSize(1);
    }

    @Test
    void anAnswerThatAPersonAsksForAllTheSameTellsTheDays() {
        String id = plan(TODAY.minusDays(1), TODAY.plusDays(3));
        ReadMessage asked = new MessageReading(Limits.standard())
                .read(("Return-Path: <eva@birch.example>\r\nFrom: eva@birch.example\r\nTo: " + World.VISITS
                                + "\r\nSubject: birch\r\n\r\nMay I ask something about the garden?\r\n")
                        .getBytes(StandardCharsets.UTF_8));
        List<PlannedStep> steps =
                anew.answer(mailboxes.find(mailbox), AbsenceRules.answerOf(id), asked, clock.instant());
        assertThat(steps.get(0).sending().orElseThrow().letter().text())
                .contains("Until " + TODAY.plusDays(3).getDayOfMonth())
                .doesNotContain("soon");
    }

    @Test
    void itIsLookedOverOnPastMailBeforeItIsPlanned() {
        JsonNode look = browser.post(
                at("/absences/" + UUID.randomUUID() + "/look"), form(TODAY.plusDays(1), TODAY.plusDays(9), TEUN));
        assertThat(look.at("/seen/days").intValue()).isEqualTo(9);
        assertThat(look.at("/seen/counts/0/fate").stringValue()).isEqualTo("ANSWERED");
        assertThat(browser.send(
                                "POST",
                                at("/absences"),
                                form(TODAY, TODAY.plusDays(1), "x@elsewhere.example"),
                                "application/json")
                        .body())
                .contains("lies outside your own domains");
        assertThat(browser.send("POST", at("/absences"), form(TODAY, TODAY.minusDays(1), TEUN), "application/json")
                        .body())
                .contains("lies before the first");
        assertThat(browser.get(at("/absences")).get("absences")).isEmpty();
    }

    @Test
    void theRulesOfAnAbsenceStayWhateverIsSavedAboveThem() {
        plan(TODAY, TODAY.plusDays(3));
        assertThat(browser.send("GET", at("/timetable/calendar"), "", "application/json")
                        .body())
                .contains(
                        "SUMMARY:Away", "DTSTART;VALUE=DATE:" + TODAY.toString().replace("-", ""));
        int base = books.current(mailbox).version();
        rules(rule("aspens", "aspen", "continue", step("{'do':'file','folder':'Aspens'}")));
        assertThat(books.current(mailbox).book().tail()).hasSize(2);
        plan(TODAY.plusDays(20), TODAY.plusDays(21));
        assertThat(books.save(mailbox, base + 1, books.current(mailbox).book(), "test")
                        .book()
                        .tail())
                .as("the tail alone changed meanwhile")
                .hasSize(4);
    }
}
