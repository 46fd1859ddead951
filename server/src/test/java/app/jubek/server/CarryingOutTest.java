package app.jubek.server;

import static app.jubek.core.step.StepState.FAILED;
import static app.jubek.core.step.StepState.HELD;
import static app.jubek.core.step.StepState.SENT;
import static app.jubek.core.step.StepState.WITHHELD;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.Failure;
import app.jubek.core.plan.PlannedPhrase;
import app.jubek.core.plan.Reason;
import app.jubek.server.step.StepView;
import app.jubek.server.step.Work;
import jakarta.mail.Flags;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** Real mail through the real server: taken in by IMAP, decided, done by SMTP and IMAP. */
class CarryingOutTest extends ServerTest {
    private static final String EDUCATION = "education@ostrel-gardens.example";

    @Test
    void aRedirectArrivesWithEveryByteOfTheOriginalBelowTheAddedBlock() {
        rules(rule(
                "redirect",
                "redirected",
                "continue",
                step("{'do':'redirect','to':['education@ostrel-gardens.example']}")));
        String body = "From: anna@school.example\r\nTo: " + World.VISITS
                + "\r\nSubject: redirected\r\nX-Odd:  two  spaces\r\n\r\n" + ".a dot first\r\n" + "long ".repeat(400)
                + "\r\numlaut ü\r\n";
        send("anna@school.example", World.VISITS, body.getBytes(StandardCharsets.UTF_8));
        await("it arrived", () -> mail(EDUCATION, "INBOX").stream().anyMatch(m -> m.contains("Subject: redirected")));
        String arrived = mail(EDUCATION, "INBOX").stream()
                .filter(m -> m.contains("Subject: redirected"))
                .findFirst()
                .orElseThrow();
        assertThat(arrived)
                .endsWith(body)
                .contains("Resent-Message-ID: ", "Return-Path: <visits@ostrel-gardens.example>");
    }

    @Test
    void aForwardArrivesOnceAndItsRuleStandsInTheRecords() {
        rules(rule(
                "forward",
                "forwarded",
                "continue",
                step("{'do':'forward','to':['education@ostrel-gardens.example']}")));
        write("anna@school.example", World.VISITS, "forwarded", "24 pupils");
        await("it is recorded", () -> steps("forward").stream().anyMatch(s -> s.state() == SENT));
        assertThat(mail(EDUCATION, "INBOX"))
                .filteredOn(m -> m.contains("Subject: Fwd: forwarded"))
                .singleElement()
                .asString()
                .contains("24 pupils");
        assertThat(steps("forward"))
                .singleElement()
                .extracting(StepView::ruleVersion)
                .isEqualTo(1);
    }

    @Test
    void aWriterIsAnsweredOnceFromTheNullPathAndAListNever() {
        rules(rule(
                "reply",
                "permit",
                "stop here",
                step("{'do':'reply','text':'Ten days ahead, please.'}"),
                step("{'do':'file','folder':'Permits'}")));
        write("bea@postbox.example", World.VISITS, "permit one", "hello");
        write("bea@postbox.example", World.VISITS, "permit two", "hello");
        String list =
                "From: l@list.example\r\nTo: visits@ostrel-gardens.example\r\nList-Id: <l.example>\r\nSubject: permit list\r\n\r\nx\r\n";
        send("l@list.example", World.VISITS, list.getBytes(StandardCharsets.UTF_8));
        await("all three are filed", () -> mail(World.VISITS, "Permits").size() == 3);
        await(
                "the answer left",
                () -> steps("reply").stream().anyMatch(s -> s.kind() == Work.REPLY && s.state() == SENT));
        assertThat(mail("bea@postbox.example", "INBOX"))
                .singleElement()
                .asString()
                .contains(
                        "Subject: Auto: permit one",
                        "Auto-Submitted: auto-replied",
                        "Return-Path: <>",
                        "Ten days ahead");
        assertThat(mail("l@list.example", "INBOX")).isEmpty();
        assertThat(steps("reply"))
                .filteredOn(s -> s.state() == WITHHELD)
                .extracting(s -> s.because().orElseThrow().code())
                .contains(Reason.ANSWERED_BEFORE.id(), Reason.LIST.id());
    }

    @Test
    void aTemporaryRefusalIsTriedAgainUntilItIsTaken() {
        rules(rule("again", "later", "continue", step("{'do':'redirect','to':['evening@ostrel-gardens.example']}")));
        World.get().office().bench().refuse("evening@ostrel-gardens.example", 451, 2);
        write("anna@school.example", World.VISITS, "later", "x");
        await("it arrived", () -> steps("again").stream().anyMatch(s -> s.state() == SENT));
        assertThat(mail("evening@ostrel-gardens.example", "INBOX")).hasSize(1);
        assertThat(steps("again").get(0).attempts()).isEqualTo(3);
    }

    @Test
    void aHandOverThatFailsForGoodBringsTheMessageBackUnreadAndFlagged() {
        rules(rule(
                "fail",
                "nowhere",
                "stop here",
                step("{'do':'redirect','to':['gone@ostrel-gardens.example']}"),
                step("{'do':'mark','flags':['\\\\Seen']}"),
                step("{'do':'file','folder':'Away'}")));
        World.get().office().bench().refuse("gone@ostrel-gardens.example", 550, 9);
        write("anna@school.example", World.VISITS, "nowhere", "x");
        await(
                "it is back",
                () -> !flags(World.VISITS, "INBOX", "nowhere").isEmpty()
                        && steps("fail").stream()
                                .anyMatch(s -> s.done().is(PlannedPhrase.BROUGHT_BACK) && s.state() == SENT));
        Flags flags = flags(World.VISITS, "INBOX", "nowhere").get(0);
        assertThat(flags.contains(Flags.Flag.FLAGGED)).isTrue();
        assertThat(flags.contains(Flags.Flag.SEEN)).isFalse();
        assertThat(steps("fail"))
                .filteredOn(s -> s.state() == FAILED)
                .singleElement()
                .satisfies(s -> assertThat(s.because().orElseThrow().is(Failure.RECIPIENT_REFUSED))
                        .isTrue());
    }

    @Test
    void aMessageMovedBackByAPersonIsNotDecidedAgain() {
        rules(rule("once", "seeds", "stop here", step("{'do':'file','folder':'Once'}")));
        write("anna@school.example", World.VISITS, "seeds", "x");
        await("it is filed", () -> mail(World.VISITS, "Once").size() == 1);
        inFolder(World.VISITS, "Once", messages -> {
            messages[0]
                    .getFolder()
                    .copyMessages(messages, messages[0].getFolder().getStore().getFolder("INBOX"));
            return messages;
        });
        write("anna@school.example", World.VISITS, "afterwards", "x");
        await(
                "what came after it is taken in",
                () -> jdbc.sql("select count(*) from message where subject = 'afterwards'")
                                .query(Integer.class)
                                .single()
                        == 1);
        assertThat(steps("once")).hasSize(1);
        assertThat(mail(World.VISITS, "INBOX")).anyMatch(m -> m.contains("Subject: seeds"));
    }

    @Test
    void beyondTheHourlyLimitMessagesAreHeldAndAPersonMayLetThemGo() {
        int before = jdbc.sql(
                        "select count(*) from step where outgoing_id is not null and state in ('SENDING','SENT','UNCERTAIN')")
                .query(Integer.class)
                .single();
        jdbc.sql("update mailbox set hourly_limit = ?").param(before + 1).update();
        rules(rule("limit", "flood", "continue", step("{'do':'redirect','to':['tomas@ostrel-gardens.example']}")));
        write("anna@school.example", World.VISITS, "flood 1", "x");
        await("the first left", () -> steps("limit").stream().anyMatch(s -> s.state() == SENT));
        write("anna@school.example", World.VISITS, "flood 2", "x");
        await("the second is held", () -> steps("limit").stream().anyMatch(s -> s.state() == HELD));
        jdbc.sql("update mailbox set hourly_limit = 200").update();
        StepView held = steps("limit").stream()
                .filter(s -> s.state() == HELD)
                .findFirst()
                .orElseThrow();
        outbox.act(mailbox, held.id(), StepView.Act.SEND_NOW, "Ilse Varga");
        await("it left", () -> mail("tomas@ostrel-gardens.example", "INBOX").size() == 2);
    }

    @Test
    void anOutsideDestinationIsHeldAndSaysWhy() {
        rules(rule("outside", "abroad", "continue", step("{'do':'forward','to':['friend@elsewhere.example']}")));
        write("anna@school.example", World.VISITS, "abroad", "x");
        await("it is held", () -> steps("outside").stream().anyMatch(s -> s.state() == HELD));
        assertThat(steps("outside").get(0).because()).contains(Reason.OUTSIDE.with("friend@elsewhere.example"));
        assertThat(steps("outside").get(0).acts()).containsExactly(StepView.Act.DISCARD);
        assertThat(mail("friend@elsewhere.example", "INBOX"))
                .as("but for the request")
                .noneMatch(m -> m.contains("Fwd: abroad"));
    }

    @Test
    void anAnswerToSomethingAPersonSentIsLeftToPeople() {
        rules(rule("talk", "weekend", "continue", step("{'do':'reply','text':'Thank you.'}")));
        String answer = "From: bea@postbox.example\r\nTo: visits@ostrel-gardens.example\r\nSubject: Re: weekend\r\n"
                + "In-Reply-To: " + World.WRITTEN_BY_ILSE + "\r\n\r\nFine.\r\n";
        await(
                "what was sent is known",
                () -> jdbc.sql("select count(*) from sent_message where message_id = ?")
                                .param(World.WRITTEN_BY_ILSE)
                                .query(Integer.class)
                                .single()
                        == 1);
        send("bea@postbox.example", World.VISITS, answer.getBytes(StandardCharsets.UTF_8));
        await("it is decided", () -> !steps("talk").isEmpty());
        assertThat(steps("talk").get(0).because()).contains(Reason.CONVERSATION.with());
    }
}
