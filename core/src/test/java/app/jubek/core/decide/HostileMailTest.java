package app.jubek.core.decide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import app.jubek.core.EveryKindOfRule;
import app.jubek.core.Hostile;
import app.jubek.core.Mails;
import app.jubek.core.message.ReadingNote;
import app.jubek.core.plan.Reason;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Whole messages from hostile senders: each becomes a decision, soon, and none hides what it may say. */
class HostileMailTest {
    private static final int[] LENGTHS = {1_000, 10_000, 100_000, 1_000_000};
    private static final long MOST_NANOS = 2_000_000_000L;

    private static Stream<Arguments> fields() {
        return Stream.of(
                        fields(
                                Hostile.ADDRESSES,
                                "From",
                                "To",
                                "Reply-To",
                                "Return-Path",
                                "Delivered-To",
                                "Resent-Cc",
                                "Sender"),
                        fields(Hostile.WORDS, "Subject", "Comments"),
                        fields(Hostile.SUBJECTS, "Subject"),
                        fields(Hostile.PARAMETERS, "Content-Type", "Content-Disposition"),
                        fields(
                                Hostile.STRUCTURED,
                                "Auto-Submitted",
                                "Precedence",
                                "Authentication-Results",
                                "Date",
                                "DKIM-Signature",
                                "Received",
                                "List-Id",
                                "Jubek-Hops",
                                "Content-Transfer-Encoding"),
                        fields(Hostile.IDS, "Message-ID", "References", "In-Reply-To"))
                .flatMap(all -> all);
    }

    private static Stream<Arguments> fields(List<String> signs, String... names) {
        return Stream.of(names).map(name -> Arguments.of(name, signs));
    }

    private static String message(String field, String value) {
        return field + ": " + value + "\r\n" + Mails.from("anna@school.example", "Guided visit", "Hello", "X: y");
    }

    private static List<String> mails(List<String> signs, java.util.function.UnaryOperator<String> message) {
        List<String> mails = new ArrayList<>();
        for (int i = 0; i < LENGTHS.length; i++) {
            List<String> forms = Hostile.forms(signs, LENGTHS[i]).entrySet().stream()
                    .filter(form -> !form.getKey().startsWith("a"))
                    .map(Map.Entry::getValue)
                    .toList();
            int first = i;
            IntStream.range(0, forms.size())
                    .filter(form -> form % LENGTHS.length == first)
                    .forEach(form -> mails.add(message.apply(forms.get(form))));
        }
        return mails;
    }

    private static void allAreHandledSoon(List<String> mails) {
        for (String mail : mails) {
            byte[] bytes = mail.getBytes(StandardCharsets.UTF_8);
            long began = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
            EveryKindOfRule.Decided decided = EveryKindOfRule.decided(bytes);
            long took = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - began;
            assertThat(took).as(mail.substring(0, 80)).isLessThan(MOST_NANOS);
            assertThatCode(() -> EveryKindOfRule.composed(decided, bytes)).doesNotThrowAnyException();
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("fields")
    void whateverAFieldSaysTheMessageIsDecided(String field, List<String> signs) {
        allAreHandledSoon(mails(signs, value -> message(field, value)));
    }

    @Test
    void whateverTheTextSaysTheMessageIsDecided() {
        allAreHandledSoon(mails(Hostile.TEXTS, text -> Mails.from("anna@school.example", "a", text)));
        allAreHandledSoon(
                mails(Hostile.MARKUP, text -> Mails.from("anna@school.example", "a", text, "Content-Type: text/html")));
        allAreHandledSoon(mails(
                Hostile.TEXTS,
                text -> Mails.from("form@b.example", "a", "e-mail: " + text, "Auto-Submitted: auto-generated")));
    }

    @Test
    void aMessageWhoseHeaderIsCutWaitsForAPersonBeforeItIsHandedOnOrAnswered() {
        String hidden = "X-Long: " + "a".repeat(300_000) + "\r\nAuto-Submitted: auto-replied";
        Decision decision = EveryKindOfRule.handled(
                Mails.from("anna@school.example", "a", "Hello", hidden).getBytes(StandardCharsets.UTF_8));
        assertThat(decision.planned()).allMatch(step -> step.sending().isEmpty());
        assertThat(decision.notDone())
                .filteredOn(step -> step.reason() == Reason.HEADER_CUT)
                .hasSize(3)
                .allMatch(step -> step.waits() && step.reason().mayBeOverruled());
        assertThat(decision.notes()).contains(ReadingNote.FIELD_CUT.with(64));
    }

    @Test
    void aHeaderOfTooManyFieldsOrTooLongInAllIsCutToo() {
        for (String fields : List.of("A: b\r\n".repeat(12_000), ("B: " + "c".repeat(60_000) + "\r\n").repeat(5))) {
            String mail = Mails.from("anna@school.example", "a", "Hello", fields.strip());
            assertThat(Mails.read(mail).headerCut()).isTrue();
            assertThat(Mails.read(mail).texts()).singleElement().asString().startsWith("Hello");
        }
        assertThat(Mails.read(Mails.from("anna@school.example", "a", "b", "C: " + "d".repeat(60_000)))
                        .headerCut())
                .isFalse();
    }

    @Test
    void whatElseWasCutStandsInTheDecision() {
        String words = "Subject: " + "=?l1?q?a?= ".repeat(5_500);
        String parameters = "Content-Type: text/plain" + "; a=b".repeat(300);
        Decision decision =
                EveryKindOfRule.handled((words + "\r\n" + parameters + "\r\nFrom: a@school.example\r\n\r\nHello")
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(decision.notes())
                .contains(ReadingNote.ENCODED_WORDS_LEFT.with(5_000), ReadingNote.PARAMETERS_LEFT.with(200));
    }

    /** Addresses that a message may have and no mail can be sent to (RFC 5321 §4.1.2, §4.1.3 and what is none). */
    @Test
    void anAddressThatNothingCanBeSentToIsNotAnswered() {
        Map<String, String> paths = Map.of(
                "a literal", "bob@[192.0.2.1]",
                "no domain", "bobby",
                "a quoted blank", "\"a b\"@x.example",
                "a quoted bracket", "\"a>b\"@x.example",
                "a sign in the domain", "carl@exam!ple.example",
                "too long a label", "d@" + "a".repeat(70) + ".example");
        paths.forEach((what, path) -> assertThat(
                        EveryKindOfRule.handled(Mails.from(path, "a", "Hello", "Reply-To: " + path)
                                        .getBytes(StandardCharsets.UTF_8))
                                .notDone())
                .as(what)
                .anyMatch(step -> step.reason() == Reason.ADDRESS_UNUSABLE && !step.waits()));
    }
}
