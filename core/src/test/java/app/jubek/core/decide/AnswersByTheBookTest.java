package app.jubek.core.decide;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.outgoing.DocumentContents;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.reading.TraceFields;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Each reason not to answer, and each field of an answer, with the section that asks for it. */
class AnswersByTheBookTest {
    private static final Rule ANSWERS = new Rule(
            new RuleId("r"),
            1,
            "r",
            new Everything(),
            new Nothing(),
            List.of(new Step.Reply("", "Thank you.", Duration.ofDays(7))),
            Ending.CONTINUE,
            true);

    /** Reasons that lie in the message alone. */
    private static final Set<Reason> OF_THE_MESSAGE = EnumSet.range(Reason.NO_RETURN_PATH, Reason.NOT_WRITTEN_TO_US);

    record Row(String source, String path, List<String> fields, String outcome) {}

    private static List<Row> rows() {
        try (BufferedReader table = new BufferedReader(new InputStreamReader(
                AnswersByTheBookTest.class.getResourceAsStream("/app/jubek/core/safety/answers.txt"),
                StandardCharsets.UTF_8))) {
            return table.lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\\|"))
                    .map(p -> new Row(p[0].strip(), p[1].strip(), fields(p[2].strip()), p[3].strip()))
                    .toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static List<String> fields(String written) {
        return written.isEmpty() ? List.of() : Arrays.asList(written.split(";;"));
    }

    private static String mail(Row row) {
        StringBuilder mail = new StringBuilder();
        if (!row.path().equals("-")) {
            mail.append("Return-Path: <").append(row.path()).append(">\r\n");
        }
        String sender = row.path().contains("@") ? row.path() : "anna@school.example";
        add(mail, row, "From", sender);
        add(mail, row, "To", "visits@ostrel-gardens.example");
        row.fields().forEach(field -> mail.append(field).append("\r\n"));
        return mail + "Subject: a visit\r\nMessage-ID: <one@school.example>\r\n\r\nhello\r\n";
    }

    private static void add(StringBuilder mail, Row row, String name, String value) {
        if (row.fields().stream().noneMatch(field -> field.startsWith(name + ":"))) {
            mail.append(name).append(": ").append(value).append("\r\n");
        }
    }

    private static Decision decide(ReadMessage message) {
        return Engine.decide(CompiledBook.of(RuleBook.of(List.of(ANSWERS))), message, Mails.context());
    }

    @ParameterizedTest
    @MethodSource("rows")
    void aMessageIsAnsweredOrNotAsTheTableSays(Row row) {
        Decision decision = decide(Mails.read(mail(row)));
        String outcome = decision.notDone().stream()
                .map(NotDone::reason)
                .map(Reason::name)
                .findFirst()
                .orElse("answered");
        assertThat(outcome).as(row.source() + " " + row.fields()).isEqualTo(row.outcome());
    }

    @Test
    void everyReasonThatLiesInAMessageIsInTheTableWithASource() {
        Set<String> told = rows().stream().map(Row::outcome).collect(Collectors.toSet());
        assertThat(OF_THE_MESSAGE.stream().map(Reason::name).filter(name -> !told.contains(name)))
                .isEmpty();
        assertThat(OF_THE_MESSAGE)
                .extracting(Reason::source)
                .allMatch(source -> source.matches("RFC \\d+ §.*|common practice|preset"));
        assertThat(rows()).extracting(Row::source).allMatch(source -> source.matches("RFC \\d+ §.*|common practice"));
    }

    /** Read again by an independent parser (Angus Mail). */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "RFC 3834 §3.1.1 | From | Visits desk <visits@ostrel-gardens.example>",
                "RFC 3834 §3.1.3 | To | anna@school.example",
                "RFC 3834 §3.1.4 | Date | Sun, 29 Mar 2026 12:00:00 +0200",
                "RFC 3834 §3.1.5 | Subject | Auto: =?utf-8?Q?a_visit?=",
                "RFC 3834 §3.1.6, RFC 5322 §3.6.4 | In-Reply-To | <one@school.example>",
                "RFC 3834 §3.1.6, RFC 5322 §3.6.4 | References | <zero@school.example> <one@school.example>",
                "RFC 3834 §3.1.7, §5 | Auto-Submitted | auto-replied",
                "RFC 2045 §4 | MIME-Version | 1.0",
                "RFC 3834 §3.1.8 does not recommend one | Precedence | ",
                "RFC 5322 §3.6.6 is for what is resent | Resent-From | ",
                "no copy that the sender did not ask for | Cc | "
            })
    void anAnswerHasTheFieldsThatTheStandardsAskFor(String source, String field, String value) throws Exception {
        byte[] raw = mail(new Row("", "anna@school.example", List.of("References: <zero@school.example>"), ""))
                .replace("Subject: a visit", "Subject: =?utf-8?Q?a_visit?=")
                .getBytes(StandardCharsets.UTF_8);
        ReadMessage message = Mails.read(raw);
        PlannedStep planned = decide(message).planned().get(0);
        Composer composer = new Composer(
                Mails.VISITS, Mails.HOPS, Mails.context().context().zone(), DocumentContents.none(), Optional.empty());
        byte[] bytes = composer.compose(
                        planned,
                        new Composer.Original(message, ByteSource.of(raw), TraceFields.digestBelow(ByteSource.of(raw))),
                        Mails.NOW)
                .bytes();
        MimeMessage answer = new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(bytes));
        String expected = field.equals("Subject") ? "Auto: a visit" : value;
        Stream<String> found =
                answer.getHeader(field) == null ? Stream.empty() : Arrays.stream(answer.getHeader(field));
        assertThat(found.map(each -> each.replaceAll("\\s+", " ")))
                .as(source)
                .isEqualTo(expected == null ? List.of() : List.of(expected));
    }
}
