package app.jubek.server.queue;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.StepNote;
import app.jubek.core.plan.Trouble;
import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.nodes.Nodes;
import app.jubek.server.step.Claim;
import app.jubek.server.step.Work;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
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
    private Nodes nodes;

    @Autowired
    private Mailboxes mailboxes;

    @Autowired
    private JdbcClient jdbc;

    private static final Statement REFUSED = Failure.RECIPIENT_REFUSED.with("550 no");

    private UUID mailbox;
    private long message;

    @BeforeEach
    void aMessageOfItsOwn() {
        mailbox = jdbc.sql("select id from mailbox where position = 0")
                .query(UUID.class)
                .single();
        message = jdbc.sql("""
                        insert into message (mailbox_id, folder, uid_validity, uid, located_folder, located_validity, located_uid,
                        digest, received_at, sender_names, senders, recipients, subject, texts, form_version, attachments, size, notes, status)
                        values (?, 'Elsewhere', 1, (random() * 1e9)::bigint, 'Elsewhere', 1, 1, 'd', now(), '{}', '{}', '{}', 's', '{}', 1, 0, 1, '[]', 'PAST')
                        returning id""").param(mailbox).query(Long.class).single();
    }

    /** A step that a node is doing. */
    private StepEntity underWay(Work kind, UUID node, boolean perhapsTwice) {
        StepEntity step = new StepEntity(mailbox, message, kind, 0, "{\"do\":\"file\",\"folder\":\"X\"}", Instant.now())
                .by("r", 1, "r", 0)
                .leaving("duty@ostrel-gardens.example", "", "<id@x.example>");
        step.become(StepState.READY);
        step.claim(Instant.now(), node);
        if (perhapsTwice) {
            step.perhapsTwice();
        }
        return steps.save(step);
    }

    private Claim mine(Work kind, boolean perhapsTwice) {
        StepEntity step = underWay(kind, nodes.id(), perhapsTwice);
        return Claims.of(step, mailboxes.find(mailbox), Optional.empty());
    }

    private Claim mine(Work kind) {
        return mine(kind, false);
    }

    private StepEntity afterwards(Claim claim) {
        return steps.findById(claim.step()).orElseThrow();
    }

    /** Given up for lost only when its node has not been heard of for as long as its lease. */
    @Test
    void aReplyWhoseNodeDiedIsUncertainAndNeverRepeatedByItself() {
        StepEntity step = underWay(Work.REPLY, UUID.randomUUID(), false);
        jdbc.sql("update step set leased_until = now() + interval '1 minute' where id = ?")
                .param(step.id())
                .update();
        claims.takeUpAbandoned();
        assertThat(steps.findById(step.id()).orElseThrow().state()).isEqualTo(StepState.SENDING);
        jdbc.sql("update step set leased_until = now() - interval '1 second' where id = ?")
                .param(step.id())
                .update();
        claims.takeUpAbandoned();
        StepEntity after = steps.findById(step.id()).orElseThrow();
        assertThat(after.state()).isEqualTo(StepState.UNCERTAIN);
        assertThat(after.advice()).contains(Advice.ASK_RECIPIENT);
    }

    @Test
    void aHandOverWhoseEndNobodySawIsRepeatedOnceUnderTheSameMessageIdAndSaysSo() {
        Claim claim = mine(Work.REDIRECT);
        claims.unknown(claim);
        StepEntity again = afterwards(claim);
        assertThat(again.isPerhapsTwice()).isTrue();
        assertThat(jdbc.sql("select outgoing_id from step where id = ?")
                        .param(again.id())
                        .query(String.class)
                        .single())
                .isEqualTo("<id@x.example>");
        assertThat(again.state()).isIn(StepState.READY, StepState.SENDING, StepState.SENT, StepState.WITHHELD);
    }

    @Test
    void aHandOverThatBrokeOffTwiceIsUncertain() {
        Claim claim = mine(Work.FORWARD, true);
        claims.unknown(claim);
        assertThat(afterwards(claim).state()).isEqualTo(StepState.UNCERTAIN);
    }

    private StepEntity ready(String recipient) {
        StepEntity step = new StepEntity(mailbox, message, Work.NOTIFY, 0, "{\"do\":\"tell\"}", Instant.now())
                .by("r", 1, "r", 0)
                .to(recipient);
        step.become(StepState.READY);
        return steps.save(step);
    }

    private String state(StepEntity step) {
        return jdbc.sql("select state from step where id = ?")
                .param(step.id())
                .query(String.class)
                .single();
    }

    @Test
    void aStepThatCanNotEvenBeReadFailsAfterThreeTriesAndTheNextIsDone() {
        StepEntity broken = ready("");
        jdbc.sql("update step set kind = 'NO SUCH KIND' where id = ?")
                .param(broken.id())
                .update();
        StepEntity next = ready("");
        await("the next is sent", () -> state(next).equals("SENT"));
        await("the broken one failed", () -> state(broken).equals("FAILED"));
        assertThat(jdbc.sql("select attempts from step where id = ?")
                        .param(broken.id())
                        .query(Integer.class)
                        .single())
                .isEqualTo(3);
        jdbc.sql("delete from step where id = ?").param(broken.id()).update();
    }

    @Test
    void stepsForOneRecipientLeaveRoomForOthers() {
        List<StepEntity> slow = Stream.generate(() -> underWay(Work.REDIRECT, nodes.id(), false))
                .limit(3)
                .toList();
        StepEntity fourth = ready("duty@ostrel-gardens.example");
        StepEntity other = ready("noor@ostrel-gardens.example");
        await("the other is sent", () -> state(other).equals("SENT"));
        assertThat(state(fourth)).isEqualTo("READY");
        jdbc.sql("delete from step where id in (:ids)")
                .param("ids", slow.stream().map(StepEntity::id).toList())
                .update();
        await("the fourth is sent", () -> state(fourth).equals("SENT"));
    }

    /** A node that was asleep and wakes up must not write over what was made of its step meanwhile. */
    @Test
    void aNodeWhoseStepWasTakenOverChangesNothing() {
        Claim claim = mine(Work.FORWARD);
        jdbc.sql("update step set claimed_by = ?, attempts = 2 where id = ?")
                .params(UUID.randomUUID(), claim.step())
                .update();
        claims.fail(claim, Trouble.of(REFUSED));
        claims.done(claim);
        assertThat(afterwards(claim).state()).isEqualTo(StepState.SENDING);
    }

    @Test
    void aStepThatFailsForGoodBringsItsMessageBackOnceHoweverManyRecipientsFailed() {
        Claim one = mine(Work.REDIRECT);
        claims.fail(one, Trouble.of(REFUSED, Advice.CHECK_ADDRESS));
        claims.fail(mine(Work.FORWARD), Trouble.of(REFUSED));
        assertThat(jdbc.sql("select count(*) from step where message_id = ? and kind = 'BRING_BACK'")
                        .param(message)
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
        assertThat(afterwards(one).state()).isEqualTo(StepState.FAILED);
        assertThat(afterwards(one).advice()).contains(Advice.CHECK_ADDRESS);
    }

    @Test
    void aReplyThatFailsBringsNothingBack() {
        claims.fail(mine(Work.REPLY), Trouble.of(REFUSED));
        assertThat(steps.existsByMessageIdAndKind(message, Work.BRING_BACK)).isFalse();
    }

    @Test
    void aStepIsTriedAgainAfterItsPausesAndThenFails() {
        Claim claim = mine(Work.REPLY);
        claims.retryOrFail(claim, Trouble.of(REFUSED));
        assertThat(afterwards(claim).state()).isIn(StepState.READY, StepState.WITHHELD);
        StepEntity last = underWay(Work.REPLY, nodes.id(), false);
        jdbc.sql("update step set attempts = 9 where id = ?").param(last.id()).update();
        StepEntity tired = steps.findById(last.id()).orElseThrow();
        Claim lastOne = Claims.of(tired, mailboxes.find(mailbox), Optional.empty());
        claims.retryOrFail(lastOne, Trouble.of(REFUSED));
        assertThat(afterwards(lastOne).state()).isEqualTo(StepState.FAILED);
        assertThat(afterwards(lastOne).because()).contains(StepNote.GIVEN_UP.with(REFUSED, 9));
    }
}
