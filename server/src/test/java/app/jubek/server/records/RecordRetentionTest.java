package app.jubek.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.server.ServerContext;
import app.jubek.server.mailbox.Mailboxes;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

class RecordRetentionTest extends ServerContext {
    private static final String OLD = "2001-03-04T05:06:07Z";
    private static final String YOUNG = "2002-03-04T05:06:07Z";
    private static final Instant BEFORE = Instant.parse("2002-01-01T00:00:00Z");

    @Autowired
    private RecordRetention retention;

    @Autowired
    private Mailboxes mailboxes;

    @Autowired
    private JdbcClient jdbc;

    @Test
    void whatIsOverAndOldIsRemovedAndOfItsMessageTheDigestAloneIsLeft() {
        UUID mailbox = mailboxes.all().get(0).id();
        long over = message(mailbox, "SENT", OLD);
        long waiting = message(mailbox, "HELD", OLD);
        long young = message(mailbox, "SENT", YOUNG);

        assertThat(retention.clear(mailbox, BEFORE)).isEqualTo(1);

        assertThat(line(over)).isEqualTo("kept-digest  {} 0");
        assertThat(line(waiting)).isEqualTo("kept-digest about {ada@letters.example} 1");
        assertThat(line(young)).isEqualTo("kept-digest about {ada@letters.example} 1");
        jdbc.sql("delete from message where digest = 'kept-digest'").update();
    }

    private long message(UUID mailbox, String state, String at) {
        long id = jdbc.sql("""
                        insert into message (mailbox_id, folder, uid_validity, uid, located_folder, located_validity, located_uid,
                        digest, received_at, gone_at, sender_names, senders, recipients, subject, texts, parts, form_version,
                        attachments, size, notes, status)
                        values (?, 'Elsewhere', 1, (random() * 1e9)::bigint, 'Elsewhere', 1, 1, 'kept-digest', ?::timestamptz, now(),
                        '{Ada}', '{ada@letters.example}', '{}', 'about', '{}', '{}', 2, 0, 1, '[]', 'DECIDED') returning id""").params(mailbox, at).query(Long.class).single();
        jdbc.sql("""
                        insert into step (id, mailbox_id, message_id, rule_id, rule_version, rule_name, ordinal, position, kind,
                        detail, recipient, envelope_sender, state, attempts, planned_at, due_at)
                        values (?, ?, ?, 'r', 1, 'r', 0, 0, 'FILE', '{"do":"file","folder":"X"}', '', '', ?, 0, ?::timestamptz, now())""").params(UUID.randomUUID(), mailbox, id, state, at).update();
        return id;
    }

    /** What is left of a message, and its number of steps. */
    private String line(long message) {
        return jdbc.sql(
                        "select concat_ws(' ', digest, subject, senders, (select count(*) from step where message_id = m.id))"
                                + " from message m where id = ?")
                .param(message)
                .query(String.class)
                .single();
    }
}
