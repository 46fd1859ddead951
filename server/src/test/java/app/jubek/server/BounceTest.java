package app.jubek.server;

import static app.jubek.core.step.StepState.FAILED;
import static app.jubek.core.step.StepState.SENT;
import static app.jubek.core.step.StepState.WITHHELD;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.StepNote;
import app.jubek.core.step.StepState;
import app.jubek.server.step.StepView;
import app.jubek.server.step.StepView.Act;
import app.jubek.server.step.Work;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** A hand-over that comes back is shown at its message, which is back in sight; no bounce but one of ours changes anything. */
class BounceTest extends ServerTest {
    private static final String GONE = "gone.porter@ostrel-gardens.example";

    private void handsOn(String rule, String word, String step) {
        rules(rule(rule, word, "continue", step(step), step("{'do':'mark','flags':['\\\\Seen']}")));
    }

    private StepView handedOn(String rule) {
        return steps(rule).stream()
                .filter(step -> step.kind() == Work.FORWARD || step.kind() == Work.REDIRECT)
                .findFirst()
                .orElseThrow();
    }

    private void await(String rule, StepState state) {
        await(
                rule + " is " + state,
                () -> steps(rule).stream().anyMatch(step -> step.kind() != Work.MARK && step.state() == state));
    }

    @Test
    void aForwardThatComesBackHasFailedAndItsMessageIsUnreadAndFlagged() {
        handsOn("came-back", "wisteria", "{'do':'forward','to':['" + GONE + "']}");
        write("anna@school.example", World.VISITS, "wisteria", "x");
        await("came-back", FAILED);
        StepView failed = handedOn("came-back");
        assertThat(failed.because()).contains(Failure.CAME_BACK.with(GONE, "550 5.1.1 no such user here"));
        assertThat(failed.acts()).containsExactly(Act.TRY_AGAIN, Act.DISCARD);
        await("it is back in sight", () -> isBack("wisteria"));
    }

    /** A redirect keeps the Message-ID of its sender; what is ours is its Resent-Message-ID (RFC 5322 §3.6.6). */
    @Test
    void aRedirectThatComesBackIsKnownByItsOwnId() {
        handsOn("redirect-back", "weigela", "{'do':'redirect','to':['" + GONE + "']}");
        write("anna@school.example", World.VISITS, "weigela", "x");
        await("redirect-back", FAILED);
        await("it is back in sight", () -> isBack("weigela"));
    }

    @Test
    void aDelayIsOnlyNoted() {
        handsOn("delayed", "wallflower", "{'do':'forward','to':['late.porter@ostrel-gardens.example']}");
        write("anna@school.example", World.VISITS, "wallflower", "x");
        await(
                "the delay is noted",
                () -> steps("delayed").stream()
                        .flatMap(step -> step.because().stream())
                        .anyMatch(why -> why.is(StepNote.DELAYED_ON_THE_WAY)));
        assertThat(handedOn("delayed").state()).isEqualTo(SENT);
    }

    /** Everybody knows the Message-ID of what is redirected, so a bounce that names it may be forged. */
    @Test
    void aBounceThatDoesNotNameOurIdChangesNothing() {
        handsOn("forged", "witchhazel", "{'do':'redirect','to':['education@ostrel-gardens.example']}");
        write("anna@school.example", World.VISITS, "witchhazel", "x");
        await("forged", SENT);
        String theirs = inFolder(World.VISITS, "INBOX", messages -> {
            for (jakarta.mail.Message message : messages) {
                if ("witchhazel".equals(message.getSubject()) && message.getHeader("Message-ID") != null) {
                    return message.getHeader("Message-ID")[0];
                }
            }
            return "<none@school.example>";
        });
        send("", World.VISITS, bounce("education@ostrel-gardens.example", theirs, "forged bounce"));
        settled();
        assertThat(handedOn("forged").state()).isEqualTo(SENT);
    }

    @Test
    void aBounceIsNeverHandedToTheAddressItIsAbout() {
        handsOn(
                "about",
                "wormwood",
                "{'do':'forward','to':['education@ostrel-gardens.example','duty@ostrel-gardens.example']}");
        send(
                "",
                World.VISITS,
                bounce("education@ostrel-gardens.example", "<nobody@bouncing.example>", "wormwood came back"));
        await("about", SENT);
        assertThat(steps("about"))
                .filteredOn(step -> step.state() == WITHHELD)
                .singleElement()
                .satisfies(step -> {
                    assertThat(step.recipient()).isEqualTo("education@ostrel-gardens.example");
                    assertThat(step.because().orElseThrow().is(Reason.BOUNCED_FROM))
                            .isTrue();
                });
    }

    private static byte[] bounce(String about, String original, String subject) {
        return String.join(
                        "\r\n",
                        "From: Mail delivery <mailer-daemon@bouncing.example>",
                        "To: " + World.VISITS,
                        "Subject: " + subject,
                        "MIME-Version: 1.0",
                        "Content-Type: multipart/report; report-type=delivery-status; boundary=p",
                        "",
                        "--p",
                        "Content-Type: message/delivery-status",
                        "",
                        "Reporting-MTA: dns; bouncing.example",
                        "",
                        "Final-Recipient: rfc822; " + about,
                        "Action: failed",
                        "Status: 5.1.1",
                        "",
                        "--p",
                        "Content-Type: text/rfc822-headers",
                        "",
                        "Message-ID: " + original,
                        "",
                        "--p--",
                        "")
                .getBytes(StandardCharsets.US_ASCII);
    }
}
