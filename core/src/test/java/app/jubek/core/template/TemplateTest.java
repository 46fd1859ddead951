package app.jubek.core.template;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.Person;
import app.jubek.core.template.TemplateFault.Sort;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TemplateTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);
    private static final Document LOGO =
            new Document(new DocumentId("logo"), "logo.png", "image/png", 900, TODAY, Optional.empty());
    private static final Instant CAME = Instant.parse("2026-11-25T23:30:00Z");

    private static Template template(Locale language, String subject, String text, Map<String, String> fallbacks) {
        return Template.plain(new TemplateId("visits"), 1, "School visits", language, subject, text, fallbacks);
    }

    private static Template text(String text) {
        return template(Locale.ENGLISH, "", text, Map.of());
    }

    private static Filling from(String from, String subject) {
        ReadMessage message = Mails.read(
                "From: " + from + "\r\nTo: photos@ostrel-gardens.example\r\nSubject: " + subject + "\r\n\r\nhello");
        return new Filling(
                message,
                message.sender(),
                Mails.VISITS,
                CAME,
                ZoneId.of("Europe/Stockholm"),
                Optional.of(new Person(
                        "1",
                        "Mara Lindqvist",
                        List.of(MailAddress.of("mara@mailhaven.example")),
                        "Birkhall School",
                        "",
                        "")),
                Map.of("pupils", "24 <b>"),
                Filling.Away.NOT);
    }

    private static List<Sort> faults(String text) {
        return template(Locale.ENGLISH, "Your visit", text, Map.of()).faults(TODAY, Prepared.nothing()).stream()
                .map(TemplateFault::sort)
                .toList();
    }

    private static String greeted(String name, String address) {
        return PersonName.of(MailAddress.of(address).named(name))
                .map(PersonName::first)
                .orElse("");
    }

    /** Common practice; the people are invented. */
    @Test
    void eachFormOfADisplayedNameIsGreetedAsTheTableSays() throws IOException {
        try (BufferedReader table = new BufferedReader(
                new InputStreamReader(TemplateTest.class.getResourceAsStream("names.txt"), StandardCharsets.UTF_8))) {
            List<String[]> rows = table.lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\\|", -1))
                    .map(p -> p.length == 3 ? p : new String[] {p[0] + "|" + p[1], p[2], p[3]})
                    .toList();
            assertThat(rows).hasSizeGreaterThanOrEqualTo(200);
            assertThat(rows.stream()
                            .filter(row -> !greeted(row[0], row[1]).equals(row[2]))
                            .map(row -> row[0] + " <" + row[1] + "> is greeted as " + greeted(row[0], row[1])))
                    .isEmpty();
        }
    }

    @Test
    void fieldsAreFilledInTheTemplatesLanguageAndTheMailboxesZone() {
        Template german = template(
                Locale.GERMAN,
                "Ihre Anfrage: {{subject}}",
                "Guten Tag {{sender.firstName}}, Ihre Nachricht kam am {{received.date}} um {{received.time}} an"
                        + " {{recipient.address}}.",
                Map.of("sender.firstName", "und willkommen"));
        Letter filled = german.fill(
                from("Mara Lindqvist <mara@mailhaven.example>", "Two & three <visits>"), Prepared.nothing());
        assertThat(filled.subject()).isEqualTo("Ihre Anfrage: Two & three <visits>");
        assertThat(filled.text())
                .isEqualTo("Guten Tag Mara, Ihre Nachricht kam am 26. November 2026 um 00:30 an"
                        + " photos@ostrel-gardens.example.");
        assertThat(german.fill(from("WALKS TEAM <walks@mailhaven.example>", "x"), Prepared.nothing())
                        .text())
                .startsWith("Guten Tag und willkommen, ");
    }

    @ParameterizedTest
    @ValueSource(strings = {"{{sender.nickname}}", "{{#subject}}x{{/subject}}", "{{> other}}", "{{subject", "  "})
    void whatIsNoFieldIsRefusedWithWhatItIs(String text) {
        assertThatThrownBy(() -> text(text)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void nothingOfAMessageBringsInALineAnotherFieldOrADirection() {
        Template template = template(Locale.ENGLISH, "Re {{subject}}", "{{subject}}", Map.of());
        for (String hostile : List.of(
                "=?utf-8?Q?a=0D=0ABcc:_x@mailhaven.example?=",
                "=?utf-8?B?YeKArmI=?=",
                "{{sender.address}} {{{subject}}}",
                "=?utf-8?Q?a=00b=1Bc?=")) {
            Letter filled = template.fill(from("Mara Lindqvist <m@mailhaven.example>", hostile), Prepared.nothing());
            assertThat(filled.subject().lines()).hasSize(1);
            assertThat(filled.text()).doesNotContain("\r", "\n", "\u202e", "\0", "m@mailhaven.example");
        }
    }

    @Test
    void whatGoesWrongAHundredTimesIsSaidBeforehand() {
        assertThat(faults("Dear {{sender.firstName}}")).containsExactly(Sort.MISSING_FALLBACK);
        assertThat(faults("until 24 March 2026, or 2026-03-24, or 24.3.2026"))
                .containsExactly(Sort.DATE_PAST, Sort.DATE_PAST, Sort.DATE_PAST);
        assertThat(faults("from 27 November 2026, by 2027-01-02")).isEmpty();
        assertThat(faults("see https://ostrel-gardens/visits and www.ostrel-gardens.example."))
                .containsExactly(Sort.BROKEN_LINK);
        assertThat(faults("Dear [name], TODO")).containsExactly(Sort.SAMPLE_TEXT, Sort.SAMPLE_TEXT);
        assertThat(faults("Dear {name}, on [day of the visit]")).containsExactly(Sort.SAMPLE_TEXT, Sort.SAMPLE_TEXT);
        assertThat(faults("the glasshouse and the glass-house")).containsExactly(Sort.SPELT_TWO_WAYS);
        assertThat(faults("Dear {{sender.address}}")).isEmpty();
        assertThat(faults("{{captured.pupils}} pupils")).containsExactly(Sort.MISSING_FALLBACK);
        assertThat(text("Welcome").faults(TODAY, Prepared.nothing()))
                .extracting(TemplateFault::sort)
                .containsExactly(Sort.EMPTY_SUBJECT);
    }

    @Test
    void lookingOverATemplateIsQuickWhateverStandsInIt() {
        ThreadMXBean threads = ManagementFactory.getThreadMXBean();
        for (String text :
                List.of("www." + ".".repeat(90_000), "a.".repeat(45_000), "1 ".repeat(40_000), "<<".repeat(40_000))) {
            long began = threads.getCurrentThreadCpuTime();
            faults(text);
            assertThat(threads.getCurrentThreadCpuTime() - began)
                    .as(text.substring(0, 8))
                    .isLessThan(2_000_000_000L);
        }
    }

    private static Template rich(String text, String rich, List<DocumentId> documents) {
        return new Template(
                new TemplateId("visits"),
                1,
                "School visits",
                Locale.ENGLISH,
                "Your visit",
                text,
                rich,
                new Signature("The visits desk", Optional.of(LOGO.id())),
                documents,
                Map.of());
    }

    private static Document document(String id, long size, Optional<LocalDate> lookAgainOn) {
        return new Document(new DocumentId(id), id, "image/png", size, TODAY, lookAgainOn);
    }

    private static Prepared prepared(Document... documents) {
        return new Prepared(
                Map.of(), Stream.of(documents).collect(Collectors.toMap(Document::id, Function.identity())));
    }

    @Test
    void whatIsAmissWithRichTextAndDocumentsIsSaidBeforehand() {
        List<DocumentId> plan = List.of(new DocumentId("plan.pdf"));
        Prepared sound = prepared(LOGO, document("plan.pdf", 1_000, Optional.of(TODAY.plusDays(1))));
        Template same = rich(
                "See our plan at https://ostrel-gardens.example/plan",
                "<p>See <a href='https://ostrel-gardens.example/plan'>our plan</a> at</p>",
                plan);
        assertThat(same.faults(TODAY, sound)).isEmpty();
        assertThat(same.faults(TODAY.plusDays(1), sound))
                .extracting(TemplateFault::sort)
                .containsExactly(Sort.DOCUMENT_OLD);
        assertThat(same.faults(TODAY, prepared(LOGO)))
                .extracting(TemplateFault::sort)
                .containsExactly(Sort.DOCUMENT_GONE);
        assertThat(same.faults(TODAY, prepared(LOGO, document("plan.pdf", Document.MOST, Optional.empty()))))
                .extracting(TemplateFault::sort)
                .containsExactly(Sort.TOO_LARGE);
        assertThat(rich("Open on Monday", "<p>Open on <b>Tuesday</b></p>", List.of())
                        .faults(TODAY, sound))
                .singleElement()
                .satisfies(fault -> assertThat(fault.sort()).isEqualTo(Sort.DRIFTED_APART))
                .satisfies(fault -> assertThat(Mails.words(fault.what())).contains("“monday”, “tuesday”"));
    }

    /** The markup rules are those of a sanitizer (jsoup); what may act or load is common practice. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "<p onclick='alert(1)'>x</p>",
                "<a href='javascript:alert(1)'>x</a>",
                "<a href='{{subject}}'>x</a>",
                "<img src='https://elsewhere.example/x.png'>",
                "<iframe src='https://elsewhere.example'></iframe>",
                "<style>*{}</style>",
                "<form action='https://elsewhere.example'><input></form>"
            })
    void nothingThatActsOrLoadsStaysInRichText(String html) {
        assertThat(RichText.cleaned("<p>ok</p>" + html))
                .startsWith("<p>ok</p>")
                .doesNotContainPattern("script|on[a-z]+=|elsewhere|style|form|\\{\\{");
    }

    @Test
    void valuesOfAMessageAreTextInRichTextAndTheSignatureStandsBelowWithItsPicture() {
        Letter letter = rich(
                        "Dear {{sender.name}} of {{contact.organisation}}, {{captured.pupils}}",
                        "<p>Dear <b>{{sender.name}}</b>, {{captured.pupils}} of {{subject}}</p>",
                        List.of())
                .fill(from("Mara Lindqvist <m@mailhaven.example>", "<img src=x onerror=alert(1)>"), prepared(LOGO));
        assertThat(letter.html())
                .startsWith("<p>Dear <b>Mara Lindqvist</b>, 24 &lt;b&gt; of &lt;img src")
                .endsWith("<p>The visits desk</p><p><img src=\"cid:signature-picture\" alt=\"\"></p>");
        assertThat(letter.text()).isEqualTo("Dear Mara Lindqvist of Birkhall School, 24 <b>\n\n-- \nThe visits desk");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<p>{{{subject}}}</p>",
                "<p>{{&subject}}</p>",
                "<p>{{ & subject}}</p>",
                "<p>{{<!-- -->{subject}}}</p>",
                "<p>{{<script>x</script>&subject}}</p>",
                "<p>{{=<% %>=}}<%& subject %></p>",
                "<p>{{ = [ ] = }}[& subject]</p>"
            })
    void richTextHasNoWayRoundTheEscapingOfValues(String html) {
        assertThatThrownBy(() -> rich("x", html, List.of()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("braces");
    }
}
