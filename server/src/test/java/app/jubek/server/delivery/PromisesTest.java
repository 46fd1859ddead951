package app.jubek.server.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.step.StepState;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What becomes of a step whose end nobody saw: a node that died, a connection that broke after the final dot. */
class PromisesTest extends app.jubek.server.ServerContext {
    @Autowired
    private Claims claims;

    @Autowired
    private StepRepository steps;

    @Autowired
    private JdbcClient jdbc;

    private UUID mailbox;
    private long message;

    @BeforeEach
    void aMessageOfItsOwn() {
        mailbox = jdbc.sql("select id from mailbox").query(UUID.class).single();
        message = jdbc.sql("""
                        insert into message (mailbox_id, folder, uid_validity, uid, located_folder, located_validity, located_uid,
                        digest, received_at, sender_names, senders, recipients, subject, texts, form_version, attachments, size, notes, standing)
                        values (?, 'Elsewhere', 1, (random() * 1e9)::bigint, 'Elsewhere', 1, 1, 'd', now(), '{}', '{}', '{}', 's', '{}', 1, 0, 1, '{}', 'PAST')
                        returning id""").param(mailbox).query(Long.class).single();
    }

    /** A step that was being done when its node died: claimed, with a lease that has run out. */
    private UUID abandoned(Work kind, String note) {
        StepEntity step = new StepEntity(mailbox, message, kind, 0, "{\"do\":\"file\",\"folder\":\"X\"}", Instant.now())
                .by("r", 1, "r", 0)
                .leaving("duty@ostrel-gardens.example", "", "<id@x.example>", new byte[0]);
        step.become(StepState.READY, note);
        step.claim(Instant.now(), Instant.now().minusSeconds(1));
        return steps.save(step).id();
    }

    private StepEntity afterwards(UUID id) {
        return steps.findById(id).orElseThrow();
    }

    @Test
    void aReplyWhoseEndNobodySawIsUncertainAndNeverRepeatedByItself() {
        UUID id = abandoned(Work.REPLY, "");
        claims.takeUpAbandoned();
        assertThat(afterwards(id).state()).isEqualTo(StepState.UNCERTAIN);
        assertThat(afterwards(id).note()).contains("nobody can know");
    }

    @Test
    void aHandOverWhoseEndNobodySawIsRepeatedOnceUnderTheSameMessageIdAndSaysSo() {
        UUID id = abandoned(Work.REDIRECT, "");
        claims.unknown(id);
        StepEntity again = afterwards(id);
        assertThat(again.note()).startsWith("perhaps twice");
        assertThat(again.outgoingId()).contains("<id@x.example>");
        assertThat(again.state()).isIn(StepState.READY, StepState.SENDING, StepState.SENT, StepState.WITHHELD);
    }

    @Test
    void aHandOverThatBrokeOffTwiceIsUncertain() {
        UUID id = abandoned(Work.FORWARD, Claims.PERHAPS_TWICE);
        claims.unknown(id);
        assertThat(afterwards(id).state()).isEqualTo(StepState.UNCERTAIN);
    }

    @Test
    void aStepThatFailsForGoodBringsItsMessageBackOnceHoweverManyRecipientsFailed() {
        UUID one = abandoned(Work.REDIRECT, "");
        UUID two = abandoned(Work.FORWARD, "");
        claims.fail(one, "550 no");
        claims.fail(two, "550 no");
        assertThat(jdbc.sql("select count(*) from step where message_id = ? and kind = 'BRING_BACK'")
                        .param(message)
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
        assertThat(afterwards(one).state()).isEqualTo(StepState.FAILED);
    }

    @Test
    void aReplyThatFailsBringsNothingBack() {
        claims.fail(abandoned(Work.REPLY, ""), "550 no");
        assertThat(steps.existsByMessageIdAndKind(message, Work.BRING_BACK)).isFalse();
    }

    @Test
    void aStepIsTriedAgainAfterItsPausesAndThenFails() {
        UUID id = abandoned(Work.REPLY, "");
        claims.retryOrFail(id, "451 busy");
        assertThat(afterwards(id).state()).isIn(StepState.READY, StepState.WITHHELD);
        jdbc.sql("update step set attempts = 9, state = 'SENDING' where id = ?")
                .param(id)
                .update();
        claims.retryOrFail(id, "451 busy");
        assertThat(afterwards(id).state()).isEqualTo(StepState.FAILED);
        assertThat(afterwards(id).note()).contains("given up after 9 attempts");
    }
}
