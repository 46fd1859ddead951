package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
import app.jubek.server.mailbox.MailboxStatus;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.Watching;
import app.jubek.server.platform.Secrets;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A failing part is said in plain words with the last good time, and work goes on when it is back. */
class FaultsTest extends ServerTest {
    @Autowired
    private Mailboxes mailboxes;

    @Autowired
    private Secrets secrets;

    private void reconnect() {
        World.get().office().close();
        await("the watcher notices", () -> mailboxes.status(mailbox).watching() != Watching.WATCHING);
        World.get().open();
    }

    @Test
    void aMailServerThatIsGoneIsSaidAndMailThatCameMeanwhileIsTakenInAfterwards() {
        rules(rule("back", "meanwhile", "stop here", step("{'do':'file','folder':'Back'}")));
        World.get().office().close();
        await("it is said", () -> mailboxes.status(mailbox).watching() == Watching.UNREACHABLE);
        MailboxStatus status = mailboxes.status(mailbox);
        assertThat(status.trouble())
                .hasValueSatisfying(
                        trouble -> assertThat(trouble.cause()).matches(cause -> cause.is(Failure.UNREACHABLE)));
        assertThat(status.lastContact()).isPresent();
        World.get().open();
        write("anna@school.example", World.VISITS, "meanwhile", "x");
        await("it is filed", () -> mail(World.VISITS, "Back").size() == 1);
    }

    @Test
    void aWrongPasswordIsSaidAndTheRightOneMendsIt() {
        setPassword("wrong");
        reconnect();
        await("it is said", () -> mailboxes.status(mailbox).watching() == Watching.SIGN_IN_REFUSED);
        assertThat(mailboxes.status(mailbox).trouble())
                .contains(Trouble.of(Failure.SIGN_IN_REFUSED.with(), Advice.CORRECT_SIGN_IN));
        setPassword("ostrel");
        await("it is mended", () -> mailboxes.status(mailbox).watching() == Watching.WATCHING);
    }

    @Test
    void thePasswordIsNotReadableInTheDatabase() {
        byte[] stored = jdbc.sql("select secret from mailbox where position = 0")
                .query(byte[].class)
                .single();
        assertThat(new String(stored, java.nio.charset.StandardCharsets.ISO_8859_1))
                .doesNotContain("ostrel");
        assertThat(mailboxes.password(mailbox)).isEqualTo("ostrel");
    }

    private void setPassword(String password) {
        Secrets.Sealed sealed = secrets.seal(password);
        jdbc.sql("update mailbox set secret = ?, secret_key_id = ? where position = 0")
                .params(sealed.bytes(), sealed.keyId())
                .update();
    }
}
