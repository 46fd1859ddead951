package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.step.StepState;
import app.jubek.server.hours.ClosedDays;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Hours have a name and are edited once for all their rules; closed days come from calendars. */
class HoursTest extends ServerTest {
    private static final ZoneId STOCKHOLM = ZoneId.of("Europe/Stockholm");
    private static final LocalDate TODAY = LocalDate.now(STOCKHOLM);
    private static final String ALL_WEEK = Stream.of(
                    "monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday")
            .map(day -> "\"" + day + " 00:00-00:00\"")
            .collect(Collectors.joining(","));

    /** A day of the week that is neither yesterday, today nor tomorrow. */
    private static final String ANOTHER_DAY = TODAY.plusDays(3)
            .getDayOfWeek()
            .getDisplayName(TextStyle.FULL, Locale.ENGLISH)
            .toLowerCase(Locale.ENGLISH);

    @Autowired
    private ClosedDays closedDays;

    private Browser browser;

    @BeforeEach
    void signIn() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
    }

    @AfterEach
    void noneIsLeft() {
        rules();
        times().get("calendars")
                .forEach(one -> browser.send(
                        "DELETE", path("/closed-days/" + one.get("id").stringValue()), "", "application/json"));
        browser.send("DELETE", path("/hours?name=Night%20watch"), "", "application/json");
    }

    private String path(String of) {
        return "/api/mailboxes/" + mailbox + of;
    }

    private JsonNode times() {
        return browser.get(path("/hours"));
    }

    private int saveHours(String spans) {
        return browser.send("PUT", path("/hours?name=Night%20watch"), "{\"spans\":[" + spans + "]}", "application/json")
                .statusCode();
    }

    private static String active(String id, String word, String active) {
        return rule(id, word, "continue", step("{'do':'file','folder':'" + id + "'}"))
                .replace("\"on\":true", "\"active\":" + active.replace('\'', '"') + ",\"on\":true");
    }

    private static String whole(LocalDate day) {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//x//EN\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTAMP:20260101T000000Z\r\n"
                + "SUMMARY:Stocktaking\r\nDTSTART;VALUE=DATE:" + day.format(DateTimeFormatter.BASIC_ISO_DATE)
                + "\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
    }

    private int take(String name, String text) {
        String json = "{\"name\":\"" + name + "\",\"text\":\"" + text.replace("\r\n", "\\r\\n") + "\"}";
        return browser.send("POST", path("/closed-days"), json, "application/json")
                .statusCode();
    }

    private LocalDateTime waitsUntil(String rule) {
        return steps(rule).get(0).releaseAt().orElseThrow().atZone(STOCKHOLM).toLocalDateTime();
    }

    private List<StepState> states(String rule) {
        return steps(rule).stream().map(step -> step.state()).toList();
    }

    @Test
    void aRuleGoesByHoursWithANameThatAreEditedOnceForAll() {
        assertThat(saveHours(ALL_WEEK)).isEqualTo(200);
        rules(active("watched", "gatehouse", "{'hours':'inside opening hours','of':'Night watch'}"));
        write("night@watch.example", World.VISITS, "gatehouse lamp", "x");
        await("filed within its hours", () -> states("watched").equals(List.of(StepState.SENT)));

        JsonNode effect = browser.post(
                        path("/hours/effects?name=Night%20watch"), "{\"spans\":[\"" + ANOTHER_DAY + " 10:00-11:00\"]}")
                .get(0);
        assertThat(effect.get("active").booleanValue()).isTrue();
        assertThat(effect.get("wouldBeActive").booleanValue()).isFalse();

        assertThat(saveHours("\"" + ANOTHER_DAY + " 10:00-11:00\"")).isEqualTo(200);
        JsonNode time = browser.get(path("/rule-times")).get(0);
        assertThat(time.get("active").booleanValue()).isFalse();
        assertThat(time.get("next").stringValue()).startsWith(TODAY.plusDays(3).toString());
        assertThat(browser.send("DELETE", path("/hours?name=Night%20watch"), "", "application/json")
                        .body())
                .contains("watched");
    }

    /** Between planning and opening the hours change: what waits goes by those that hold when its time comes. */
    @Test
    void mailThatWaitsForHoursWithANameGoesByTheirChanges() {
        saveHours("\"" + ANOTHER_DAY + " 10:00-11:00\"");
        String reply = step("{'do':'reply','text':'Gladly.','release':'at opening','of':'Night watch'}");
        rules(rule("by-watch", "gatepost", "continue", reply));
        write("mina@watch.example", World.VISITS, "gatepost paint", "x");
        await("it waits", () -> states("by-watch").equals(List.of(StepState.READY)));
        assertThat(waitsUntil("by-watch")).isEqualTo(TODAY.plusDays(3).atTime(10, 0));

        saveHours("\"" + ANOTHER_DAY + " 15:00-16:00\"");
        jdbc.sql("update step set release_at = now() - interval '1 second' where rule_id = 'by-watch'")
                .update();
        LocalDateTime opens = TODAY.plusDays(3).atTime(15, 0);
        await("it waits on", () -> waitsUntil("by-watch").equals(opens));
        assertThat(states("by-watch")).containsExactly(StepState.READY);
    }

    @Test
    void aRuleOfHoursThatNobodyKnowsIsNotSavedWhileItIsOn() {
        String unknown = active("lost", "gatehouse", "{'hours':'inside opening hours','of':'Nowhere'}");
        String book = "{\"format\":\"jubek-rule-book\",\"formatVersion\":2,\"rules\":[" + unknown + "]}";
        String saving = "{\"baseVersion\":" + books.current(mailbox).version() + ",\"document\":" + book + "}";
        assertThat(browser.send("PUT", path("/rule-book"), saving, "application/json")
                        .body())
                .contains("“Nowhere”, which this mailbox does not have");
        assertThat(browser.send(
                                "PUT",
                                path("/rule-book"),
                                saving.replace("\"on\":true", "\"on\":false"),
                                "application/json")
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void whatIsNoSpanOrZoneIsRefused() {
        assertThat(saveHours("\"someday 9-5\"")).isEqualTo(422);
        assertThat(browser.send(
                                "PUT",
                                path("/hours?name=Night%20watch"),
                                "{\"zone\":\"Moon/Base\",\"spans\":[\"monday 9:00-10:00\"]}",
                                "application/json")
                        .body())
                .contains("Moon/Base");
    }

    @Test
    void onAClosedDayOneRuleRestsAndAnotherOneActs() {
        assertThat(take("Own days", whole(TODAY))).isEqualTo(200);
        rules(
                active("resting", "greenfly", "{'hours':'always','closedDays':'not'}"),
                active("standing-in", "greenfly", "{'hours':'always','closedDays':'only'}"));
        write("pest@watch.example", World.VISITS, "greenfly in house 4", "x");
        await("the one for closed days acts", () -> states("standing-in").equals(List.of(StepState.SENT)));
        assertThat(states("resting")).isEmpty();
        assertThat(times().get("calendars")
                        .get(0)
                        .get("next")
                        .get(0)
                        .get("name")
                        .stringValue())
                .isEqualTo("Stocktaking");
    }

    @Test
    void aFileIsReadAgainAndOneThatIsBrokenLeavesTheOldOne() throws IOException {
        Path folder = Files.createDirectories(World.get().calendars());
        Path file = folder.resolve("closed.ics");
        Files.writeString(file, whole(TODAY.plusDays(1)));
        assertThat(browser.send(
                                "POST",
                                path("/closed-days"),
                                "{\"name\":\"From a file\",\"file\":\"closed.ics\"}",
                                "application/json")
                        .statusCode())
                .isEqualTo(200);
        Files.writeString(file, whole(TODAY.plusDays(2)));
        closedDays.readFiles();
        assertThat(nextDay()).isEqualTo(TODAY.plusDays(2).toString());

        Files.writeString(file, whole(TODAY.plusDays(4)).replace("DTSTART;VALUE=DATE:2", "DTSTART;VALUE=DATE:x2"));
        closedDays.readFiles();
        assertThat(nextDay()).isEqualTo(TODAY.plusDays(2).toString());
        assertThat(times().get("calendars").get(0).get("fault").stringValue()).contains("line 8");
    }

    private String nextDay() {
        return times().get("calendars").get(0).get("next").get(0).get("day").stringValue();
    }

    @Test
    void aFileElsewhereIsNeverRead() throws IOException {
        Path folder = Files.createDirectories(World.get().calendars());
        Files.writeString(folder.resolveSibling("secret.ics"), whole(TODAY));
        Files.deleteIfExists(folder.resolve("link.ics"));
        Files.createSymbolicLink(folder.resolve("link.ics"), folder.resolveSibling("secret.ics"));
        for (String name : List.of(
                "../secret.ics", "link.ics", folder.resolveSibling("secret.ics").toString())) {
            assertThat(browser.send(
                                    "POST",
                                    path("/closed-days"),
                                    "{\"name\":\"x\",\"file\":\"" + name + "\"}",
                                    "application/json")
                            .statusCode())
                    .as(name)
                    .isEqualTo(422);
        }
        Files.delete(folder.resolve("link.ics"));
    }
}
