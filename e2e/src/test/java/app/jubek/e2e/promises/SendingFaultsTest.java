package app.jubek.e2e.promises;

import static app.jubek.e2e.promises.Bench.EDUCATION;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What becomes of mail that leaves when the mail server refuses, hangs or breaks off. */
class SendingFaultsTest {
    private static Bench bench;
    private static Node node;

    @BeforeAll
    static void open() throws IOException {
        bench = new Bench("sending");
        node = bench.start();
    }

    @AfterAll
    static void close() {
        bench.close();
    }

    @AfterEach
    void nothingIsWrongAnyMore() {
        bench.faults().clear();
    }

    private static JsonNode step(String subject, String kind, String state) {
        return Bench.step(node, subject, kind, state);
    }

    /** RFC 5321 §4.2.1: 4yz is for now. */
    @Test
    void aServerThatIsBusyIsTriedAgain() {
        bench.faults().call("smtp-busy", 2);
        bench.write("tour busy", "x");
        assertThat(step("tour busy", "REDIRECT", "SENT").get("attempts").intValue())
                .isEqualTo(3);
        assertThat(bench.mail(EDUCATION, "INBOX", "tour busy")).hasSize(1);
    }

    @Test
    void oneRecipientThatIsRefusedHindersTheOthersNot() {
        bench.faults().refuse("gone@ostrel-gardens.example", 550, 9);
        bench.write("permit refused", "x");
        assertThat(Bench.codes(step("permit refused", "REDIRECT", "FAILED")))
                .containsExactly("RECIPIENT_REFUSED", "CHECK_ADDRESS");
        step("permit refused", "REDIRECT", "SENT");
        step("permit refused", "BRING_BACK", "SENT");
        assertThat(bench.mail(EDUCATION, "INBOX", "permit refused")).hasSize(1);
    }

    /** RFC 5321 §4.2.3. */
    @Test
    void aMessageThatIsTooLargeFailsWithThatCauseAndComesBackInSight() {
        bench.faults().call("message-too-large", 1);
        bench.write("tour large", "x");
        assertThat(Bench.codes(step("tour large", "REDIRECT", "FAILED")))
                .containsExactly("CONTENT_TOO_LARGE", "SEND_A_LINK");
        step("tour large", "BRING_BACK", "SENT");
    }

    @Test
    void aSenderThatMayNotSendIsSaidAndOnceAllowedTheStepIsTriedAgain() {
        bench.faults().call("sender-refused", 1);
        bench.write("tour sender", "x");
        JsonNode failed = step("tour sender", "REDIRECT", "FAILED");
        assertThat(Bench.codes(failed)).containsExactly("SENDER_REFUSED", "LET_ADDRESS_SEND");
        node.act(failed.get("id").stringValue(), "TRY_AGAIN");
        step("tour sender", "REDIRECT", "SENT");
    }

    /** RFC 5321 §4.5.5 asks servers to take the null sender; where one does not, the mailbox answers for it. */
    @Test
    void aServerWithoutNullSenderGetsTheAnswerFromTheMailbox() {
        bench.faults().call("null-sender-refused", 0);
        String sender = bench.writeAnew("question null");
        step("question null", "REPLY", "SENT");
        assertThat(bench.mail(sender, "INBOX", "Auto: question null"))
                .singleElement()
                .asString()
                .contains("Return-Path: <" + Bench.VISITS + ">");
    }

    @Test
    void aPasswordThatIsRefusedForSendingIsSaidAndTriedAgain() {
        bench.faults().call("smtp-password-refused", 1);
        bench.office().breakOff();
        bench.writeAnew("question password");
        step("question password", "REPLY", "SENT");
    }

    /** A large message, so that the break comes while its content is being sent. */
    @Test
    void aConnectionThatBreaksBeforeTheFinalDotIsTriedAgainAndNothingComesTwice() {
        bench.faults().call("dropped-before-dot", 1);
        bench.write("tour before", ("x".repeat(76) + "\r\n").repeat(60_000));
        assertThat(Bench.codes(step("tour before", "REDIRECT", "SENT"))).isEmpty();
        assertThat(bench.mail(EDUCATION, "INBOX", "tour before")).hasSize(1);
    }

    /** Between the final dot and 250 nobody can know (RFC 5321 §4.5.4.1, RFC 1047). */
    @Test
    void aRedirectThatBrokeOffAfterTheDotIsRepeatedOnceUnderTheSameIdAndRecorded() {
        bench.faults().call("dropped-after-dot", 1);
        bench.write("tour after", "x");
        assertThat(Bench.codes(step("tour after", "REDIRECT", "SENT"))).containsExactly("PERHAPS_TWICE");
        List<String> copies = bench.mail(EDUCATION, "INBOX", "tour after");
        assertThat(copies)
                .hasSize(2)
                .extracting(m -> Bench.field(m, "Resent-Message-ID"))
                .containsOnly(Bench.field(copies.get(0), "Resent-Message-ID"));
    }

    @Test
    void anAnswerThatBrokeOffAfterTheDotIsUncertainAndNotRepeated() {
        bench.faults().call("dropped-after-dot", 1);
        String sender = bench.writeAnew("question after");
        assertThat(Bench.codes(step("question after", "REPLY", "UNCERTAIN")))
                .containsExactly("NOBODY_KNOWS_WHETHER_SENT", "ASK_RECIPIENT");
        Bench.pause(1_500);
        assertThat(bench.mail(sender, "INBOX", "Auto: question after")).hasSize(1);
    }

    @Test
    void aServerThatHangsHoldsUpOneMessageAndTheOthersGoOn() {
        bench.faults().call("smtp-hangs-before-mail", 1);
        bench.write("tour hanging", "x");
        Bench.await("it hangs", () -> bench.faults().waiting() == 1);
        bench.write("tour going on", "x");
        step("tour going on", "REDIRECT", "SENT");
        step("tour hanging", "REDIRECT", "SENDING");
        bench.faults().release();
        step("tour hanging", "REDIRECT", "SENT");
    }

    /** RFC 6152: 8-bit content needs a server that says it takes it. */
    @Test
    void eightBitContentThatCantBeRedirectedIsOfferedAsAForward() {
        bench.faults().call("no-eight-bit", 0);
        bench.office().breakOff();
        byte[] letter = Bench.letter(Bench.ANNA, "tour eight", "Führung");
        bench.deliver(letter);
        JsonNode failed = step("tour eight", "REDIRECT", "FAILED");
        assertThat(Bench.codes(failed)).containsExactly("EIGHT_BIT_NOT_TAKEN", "FORWARD_INSTEAD");
        node.act(failed.get("id").stringValue(), "FORWARD_INSTEAD");
        step("tour eight", "FORWARD", "SENT");
        assertThat(bench.mail(EDUCATION, "INBOX", "Fwd: tour eight"))
                .singleElement()
                .satisfies(
                        m -> assertThat(StandardCharsets.US_ASCII.newEncoder().canEncode(m))
                                .isTrue());
    }
}
