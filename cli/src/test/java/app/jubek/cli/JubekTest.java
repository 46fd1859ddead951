package app.jubek.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The command line as scripts use it. */
class JubekTest {
    private static final String MAIL = """
            Return-Path: <sara@norrskola.example>
            Received: from a by b; Mon, 4 May 2026 09:00:00 +0200
            From: Sara <sara@norrskola.example>
            To: visits@ostrel-gardens.example
            Subject: Guided visit
            Message-ID: <1@norrskola.example>

            Two classes.
            """;

    @TempDir
    private Path folder = Path.of("");

    private String out = "";
    private String err = "";

    private Path file(String name, String content) throws IOException {
        return Files.writeString(folder.resolve(name), content);
    }

    private int run(String... arguments) {
        ByteArrayOutputStream told = new ByteArrayOutputStream();
        ByteArrayOutputStream complained = new ByteArrayOutputStream();
        int status = Jubek.run(
                new PrintStream(told, true, StandardCharsets.UTF_8),
                new PrintStream(complained, true, StandardCharsets.UTF_8),
                arguments);
        out = told.toString(StandardCharsets.UTF_8);
        err = complained.toString(StandardCharsets.UTF_8);
        return status;
    }

    private int decide(Path rules, Path mail, String... more) {
        List<String> arguments = new ArrayList<>(List.of("decide", "--rules", rules.toString(), "--mail"));
        arguments.addAll(List.of(mail.toString(), "--me", "visits@ostrel-gardens.example"));
        arguments.addAll(List.of(more));
        return run(arguments.toArray(String[]::new));
    }

    @Test
    void oneMessageGivesOneLineWithAllThatIsToBeDone() throws IOException {
        Path rules = file("a.sieve", """
                require ["fileinto", "copy", "imap4flags", "vacation"];
                # visits
                if header :contains "subject" "visit" {
                  redirect :copy "education@ostrel-gardens.example";
                  addflag ["\\\\Seen", "school"];
                  vacation "Thank you.";
                  fileinto "Visits";
                  stop;
                }
                """);
        assertThat(decide(rules, file("a.eml", MAIL))).isZero();
        assertThat(out)
                .isEqualToIgnoringNewLines("{\"message\":\"<1@norrskola.example>\",\"inbox\":false,\"steps\":["
                        + "{\"do\":\"redirect\",\"to\":[\"education@ostrel-gardens.example\"],\"leaves\":false},"
                        + "{\"do\":\"reply\",\"subject\":\"Auto: Guided visit\"},"
                        + "{\"do\":\"mark\",\"flags\":[\"\\\\Seen\",\"school\"],\"remove\":[]},"
                        + "{\"do\":\"file\",\"folder\":\"Visits\"}],\"held\":[],\"withheld\":[],"
                        + "\"picked\":[\"visits\"],\"endedBy\":\"visits\"}");
    }

    @Test
    void whatIsWithheldIsSaidWithItsSourceAndTheTraceWhenAskedFor() throws IOException {
        Path rules = file("a.sieve", "vacation \"Thank you.\"; if size :over 1M { discard; }");
        decide(rules, file("a.eml", "List-Id: <l.example>\n" + MAIL), "--explain");
        assertThat(out)
                .contains("\"withheld\":[{\"do\":\"reply\",\"code\":\"LIST\",\"because\":\"")
                .contains("\"trace\":[{\"rule\":\"line 1, column 1\",\"code\":\"OUTCOME_PICKED")
                .contains("\"code\":\"OUTCOME_NOT_MATCHED\"");
        decide(rules, file("a.eml", MAIL), "--text");
        assertThat(out).startsWith("<1@norrskola.example>  Guided visit\n").contains("It stays in the inbox.");
    }

    /** RFC 4155 App. A; a message is judged at the time it came in unless another is given. */
    @Test
    void aFileOfManyMessagesAndAFolderAreTakenInOrder() throws IOException {
        Path rules = file("a.sieve", "require \"date\"; if currentdate :is \"hour\" \"09\" { discard; }");
        Path many = file(
                "many.mbox",
                "From a Mon May  4 09:00:00 2026\n" + MAIL
                        + "\nFrom b Mon May  4 09:00:00 2026\nSubject: x\n\n>From y\n");
        decide(rules, many, "--zone", "Europe/Stockholm");
        assertThat(out.lines()).hasSize(2);
        assertThat(out.lines().toList().get(0)).contains("\"inbox\":false");
        assertThat(out.lines().toList().get(1)).startsWith("{\"message\":\"many.mbox#2\"");
        decide(rules, many, "--zone", "UTC", "--at", "2026-05-04T08:30:00Z");
        assertThat(out.lines().toList().get(0)).contains("\"inbox\":true");
        decide(rules, folder);
        assertThat(out.lines()).hasSize(2);
    }

    @Test
    void rulesGoByHoursAndClosedDaysThatAreGivenAndAreRefusedWithoutThem() throws IOException {
        Path rules = file("hours.json", """
                {"format":"jubek-rule-book","formatVersion":2,"rules":[{"id":"r","version":1,"name":"r",
                "picksOut":{"everything":true},"does":[{"do":"trash"}],"ending":"stop here","on":true,
                "active":{"hours":"inside opening hours","of":"Ticket desk"}}]}""");
        Path mail = file("a.eml", MAIL);
        Path closed = file("closed.ics", """
                BEGIN:VCALENDAR
                VERSION:2.0
                BEGIN:VEVENT
                UID:1
                DTSTART;VALUE=DATE:20260505
                END:VEVENT
                END:VCALENDAR
                """);
        String[] monday = {"--zone", "UTC", "--at", "2026-05-04T08:30:00Z"};
        String[] tuesday = {"--zone", "UTC", "--at", "2026-05-05T08:30:00Z"};
        assertThat(decide(rules, mail, monday)).isEqualTo(2);
        assertThat(err).contains("the hours \"Ticket desk\": give them with --hours");
        String hours = "Ticket desk=monday 8:00-9:00,tuesday 8:00-9:00";
        decide(
                rules,
                mail,
                Stream.concat(Stream.of(monday), Stream.of("--hours", hours)).toArray(String[]::new));
        assertThat(out).contains("\"inbox\":false");
        decide(
                rules,
                mail,
                Stream.concat(Stream.of(tuesday), Stream.of("--hours", hours, "--closed-days", closed.toString()))
                        .toArray(String[]::new));
        assertThat(out).contains("\"inbox\":true");
    }

    @Test
    void rulesAreRehearsedOverAFileOfManyMessages() throws IOException {
        Path now = file(
                "now.sieve",
                "require \"fileinto\"; if header :contains \"subject\" \"visit\" { fileinto \"Visits\"; }");
        Path then = file(
                "then.sieve",
                "require \"fileinto\"; if header :contains \"subject\" \"seeds\" { fileinto \"Seeds\"; }");
        Path many = file(
                "many.mbox",
                "From a Mon May  4 09:00:00 2026\n" + MAIL
                        + "\nFrom b Mon May  4 09:00:00 2026\nSubject: our seeds\n\nx\n"
                        + "\nFrom c Mon May  4 09:00:00 2026\nSubject: x\n\nx\n");
        String[] asked = {"rehearse", "--rules", now.toString(), "--other", then.toString(), "--mail", many.toString()};
        assertThat(run(asked)).isEqualTo(1);
        assertThat(out.lines())
                .containsExactlyInAnyOrder(
                        "3 messages, 2 change hands",
                        "  1  filed in Visits -> left in the inbox",
                        "  1  left in the inbox -> filed in Seeds");
        asked[4] = now.toString();
        assertThat(run(asked)).isZero();
    }

    @Test
    void rulesAreCarriedBothWaysAndWhatIsLostIsListedWithStatus3() throws IOException {
        Path json = folder.resolve("a.json");
        Path sieve = file(
                "a.sieve",
                "require \"fileinto\";\n# seeds\nif header :is \"subject\" \"seeds\" { fileinto \"Seeds\"; }");
        assertThat(run("convert", "--from", sieve.toString(), "--to", json.toString()))
                .isZero();
        assertThat(Files.readString(json)).contains("\"name\" : \"seeds\"");
        String forward = "{\"do\":\"forward\",\"to\":[\"noor@ostrel-gardens.example\"]}";
        Path changed = file("b.json", Files.readString(json).replaceAll("(?s)\\{\\s*\"do\" : \"file\".*?}", forward));
        assertThat(run("convert", "--from", changed.toString(), "--to", sieve.toString()))
                .isEqualTo(3);
        assertThat(err)
                .isEqualToIgnoringNewLines("not carried: the rule \"seeds\": to be forwarded to"
                        + " noor@ostrel-gardens.example: a script can't make a new message, so this is left out");
    }

    @Test
    void whenARuleIsActiveIsCarriedWhereTheClocksAgree() throws IOException {
        Path json = file(
                "timed.json",
                "{\"format\":\"jubek-rule-book\",\"formatVersion\":2,\"rules\":[{\"id\":\"r\",\"version\":1,\"name\":\"r\","
                        + "\"picksOut\":{\"everything\":true},\"does\":[{\"do\":\"file\",\"folder\":\"Walks\"}],"
                        + "\"ending\":\"continue\",\"on\":true,\"active\":{\"hours\":\"inside opening hours\","
                        + "\"of\":\"Ticket desk\",\"first\":\"2026-12-01\"}}]}");
        Path sieve = folder.resolve("timed.sieve");
        assertThat(run("convert", "--from", json.toString(), "--to", sieve.toString()))
                .isEqualTo(3);
        assertThat(err).contains("the mail server's clock may show another time");
        assertThat(run(
                        "convert",
                        "--same-zone",
                        "--hours",
                        "Ticket desk=sunday 10:00-16:00",
                        "--from",
                        json.toString(),
                        "--to",
                        sieve.toString()))
                .isZero();
        assertThat(Files.readString(sieve))
                .contains(
                        "currentdate :value \"ge\" \"date\" \"2026-12-01\"",
                        "allof (currentdate :is \"weekday\" \"0\", currentdate :value \"ge\" \"time\" \"10:00:00\")");
    }

    @Test
    void aBadFileGetsOneLineWithFileLineAndColumnAndStatus2() throws IOException {
        Path mail = file("a.eml", MAIL);
        assertThat(decide(file("bad.sieve", "keep;\n  foo bar"), mail)).isEqualTo(2);
        assertThat(err)
                .isEqualTo("jubek: " + folder.resolve("bad.sieve") + ":2:7: \";\" is wanted here, not \"bar\"\n");
        assertThat(decide(file("bad.json", "{\"format\":\"x\"}"), mail)).isEqualTo(2);
        assertThat(err.lines()).hasSize(1);
        assertThat(err).contains("/format: must be \"jubek-rule-book\"");
        assertThat(decide(folder.resolve("none.sieve"), mail)).isEqualTo(2);
        assertThat(err).endsWith("none.sieve: there is no such file\n");
        assertThat(run("decide", "--rules")).isEqualTo(2);
        assertThat(run("decide", "--help")).isZero();
        assertThat(out).contains("Examples:");
    }

    @Test
    void trialsOfAFolderAreRunAndTheExitStatusTellsWhetherAllHold() throws IOException {
        Path rules = file("visits.sieve", "if header :contains \"subject\" \"visit\" { fileinto \"Visits\"; }");
        Files.createDirectory(folder.resolve("trials"));
        file("trials/one.eml", MAIL);
        String trial = "{\"trial\":1,\"name\":\"Guided visit\",\"at\":\"2026-05-04T07:00:00Z\",\"expect\":"
                + "[{\"what\":\"filed in\",\"of\":\"Visits\",\"must\":true}]}";
        file("trials/one.trial.json", trial);
        String[] command = {
            "try",
            "--rules",
            rules.toString(),
            "--trials",
            folder.resolve("trials").toString()
        };
        assertThat(run(command)).isZero();
        assertThat(out).contains("holds    Guided visit", "1 trials, 1 hold, 0 differ");
        file("trials/one.trial.json", trial.replace("\"Visits\"", "\"Schools\""));
        assertThat(run(command)).isEqualTo(1);
        assertThat(out).contains("differs  Guided visit", "must be: filed in Schools", "would be: filed in Visits");
        Files.delete(folder.resolve("trials/one.eml"));
        assertThat(run(command)).isEqualTo(2);
        assertThat(err).contains("one.eml").contains("no such message");
        Files.delete(folder.resolve("trials/one.trial.json"));
        assertThat(run(command)).as("a wrong folder passes for no success").isEqualTo(2);
        assertThat(err).contains("there are no trials in it");
    }
}
