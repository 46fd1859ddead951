package app.jubek.server.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.message.ByteSource;
import app.jubek.server.ServerContext;
import app.jubek.server.content.MessageContent;
import app.jubek.server.mailbox.Mailboxes;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;

class RetentionTest extends ServerContext {
    private static final Instant OLD = Instant.parse("2001-03-04T05:06:07Z");
    private static final Instant BEFORE = Instant.parse("2002-01-01T00:00:00Z");

    @Autowired
    private Retention retention;

    @Autowired
    private MessageContent content;

    @Autowired
    private Mailboxes mailboxes;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private JdbcClient jdbc;

    @Test
    void oldMailLosesItsBytesAndItsTextsButNotItsLineAndNotWhileAStepIsOpen() {
        UUID mailbox = mailboxes.all().get(0).id();
        long past = message(mailbox, "PAST", OLD);
        long decided = message(mailbox, "DECIDED", OLD);
        long waiting = message(mailbox, "DECIDED", OLD);
        long young = message(mailbox, "DECIDED", BEFORE.plusSeconds(1));
        jdbc.sql("""
                        insert into step (id, mailbox_id, message_id, rule_id, rule_version, rule_name, ordinal, position, kind,
                        detail, recipient, envelope_sender, state, attempts, planned_at, due_at)
                        values (?, ?, ?, 'r', 1, 'r', 0, 0, 'FILE', '{"do":"file","folder":"X"}', '', '', 'HELD', 0, now(), now())""").params(UUID.randomUUID(), mailbox, waiting).update();
        long epoch = mailboxes.evidenceEpoch(mailbox);

        assertThat(retention.clear(mailbox, BEFORE)).isEqualTo(2);

        assertThat(lines(past)).isZero();
        assertThat(lines(decided)).isEqualTo(1);
        assertThat(content.has(decided)).isFalse();
        assertThat(texts(decided)).isZero();
        assertThat(content.has(waiting)).isTrue();
        assertThat(content.has(young)).isTrue();
        assertThat(texts(young)).isEqualTo(1);
        assertThat(mailboxes.evidenceEpoch(mailbox)).isGreaterThan(epoch);
        assertThat(retention.clear(mailbox, BEFORE))
                .as("nothing is left to clear")
                .isZero();
        jdbc.sql("delete from step where message_id = ?").param(waiting).update();
    }

    private long message(UUID mailbox, String status, Instant received) {
        long id = jdbc.sql("""
                        insert into message (mailbox_id, folder, uid_validity, uid, located_folder, located_validity, located_uid,
                        digest, received_at, sender_names, senders, recipients, subject, texts, form_version, attachments, size, notes, status)
                        values (?, 'Elsewhere', 1, (random() * 1e9)::bigint, 'Elsewhere', 1, 1, 'd', ?::timestamptz, '{}', '{}', '{}',
                        's', '{text}', 2, 0, 1, '[]', ?) returning id""")
                .params(mailbox, received.toString(), status)
                .query(Long.class)
                .single();
        ByteSource bytes = ByteSource.of("Subject: s\r\n\r\ntext".getBytes(StandardCharsets.US_ASCII));
        transaction.executeWithoutResult(open -> content.store(id, bytes));
        return id;
    }

    private int lines(long message) {
        return jdbc.sql("select count(*) from message where id = ?")
                .param(message)
                .query(Integer.class)
                .single();
    }

    private int texts(long message) {
        return jdbc.sql("select cardinality(texts) from message where id = ?")
                .param(message)
                .query(Integer.class)
                .single();
    }
}
