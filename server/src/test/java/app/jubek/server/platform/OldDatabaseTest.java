package app.jubek.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.wording.Wording;
import app.jubek.formats.statement.StatementJson;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What was stored when sentences were kept in place of codes can be read still. */
class OldDatabaseTest extends app.jubek.server.ServerContext {
    private static final String OLD = """
            insert into mailbox (id, address, display_name, addresses, domains, zone, imap_host, imap_port, smtp_host,
              smtp_port, user_name, secret, secret_key_id, hourly_limit, watching, watching_detail, rule_limit)
            values ('00000000-0000-0000-0000-000000000001', 'visits@ostrel-gardens.example', '', '{}', '{}', 'UTC', 'h',
              1, 'h', 1, 'u', '', 'k', 1, 'WATCHING', '', 1);
            insert into message (mailbox_id, folder, uid_validity, uid, located_folder, located_validity, located_uid,
              digest, received_at, sender_names, senders, recipients, subject, texts, form_version, attachments, size,
              notes, standing, parts, decision)
            values ('00000000-0000-0000-0000-000000000001', 'INBOX', 1, 1, 'INBOX', 1, 1, 'd', now(), '{}', '{}', '{}',
              '', '{}', 2, 1, 1, '{has no Message-ID,something of old}', 'DECIDED',
              '{"attachments": [{"name": "map.pdf", "mediaType": "application/pdf", "octets": 7}]}',
              '{"bookVersion": 1, "staysInInbox": true, "rules": [
                {"rule": "a", "version": 1, "name": "A", "picked": true,
                 "words": "picked, because it is mail from rosa@school.example; later rules go on"},
                {"rule": "b", "version": 1, "name": "B", "picked": false, "words": "paused"}]}');
            insert into step (id, mailbox_id, message_id, rule_id, rule_version, rule_name, ordinal, position, kind,
              detail, recipient, envelope_sender, state, note, attempts, planned_at, due_at, advice)
            values
              ('00000000-0000-0000-0000-000000000001', '00000000-0000-0000-0000-000000000001', 1, 'a', 1, 'A', 1, 1,
               'TELL', '{"do": "tell", "sound": "none", "note": "\\"do\\": \\"tell\\""}', '', '', 'DROPPED',
               'dropped by a person', 0, now(), now(), ''),
              ('00000000-0000-0000-0000-000000000002', '00000000-0000-0000-0000-000000000001', 1, 'a', 1, 'A', 1, 2,
               'REPLY', '{"do": "reply"}', 'rosa@school.example', '', 'WITHHELD',
               'it was sent automatically: Auto-Submitted auto-replied (RFC 3834 §2)', 0, now(), now(),
               'Correct the name and password in the settings.');
            insert into alias_test (id, mailbox_id, address, message_id, sent_at, fault)
            values ('00000000-0000-0000-0000-000000000001', '00000000-0000-0000-0000-000000000001', 'x', 'y', now(), '');
            """;

    @Autowired
    private DataSource database;

    private static String one(Statement statement, String sql) throws SQLException {
        try (ResultSet row = statement.executeQuery(sql)) {
            row.next();
            return String.valueOf(row.getString(1));
        }
    }

    private interface Work {
        void on(Statement in) throws SQLException;
    }

    private void migrate(String target) {
        Flyway.configure()
                .dataSource(database)
                .schemas("old")
                .target(target)
                .load()
                .migrate();
    }

    /** On a database of version 9, which is brought up to date in between. */
    private void brought(Work then) throws SQLException {
        migrate("9");
        try (Connection connection = database.getConnection();
                Statement in = connection.createStatement()) {
            in.execute("set search_path to old");
            try {
                in.execute(OLD);
                then.on(in);
            } finally {
                in.execute("drop schema old cascade; reset search_path");
            }
        }
    }

    @Test
    void sentencesBecomeCodesAndNothingStoredIsLost() throws SQLException {
        brought(in -> {
            migrate("latest");
            readsAsBefore(in);
        });
    }

    @Test
    void whyARuleWasRestingIsToldByItsDays() throws SQLException {
        brought(in -> {
            migrate("11");
            in.execute("""
                    update message set decision = '{"bookVersion": 1, "staysInInbox": true, "rules": [
                      {"outcome": {"code": "OUTCOME_RESTING", "arguments": [
                        {"code": "FROM", "arguments": [{"code": "HOURS_ALWAYS"}, "2026-12-01"]}]}},
                      {"outcome": {"code": "OUTCOME_RESTING", "arguments": [
                        {"code": "FROM_UNTIL", "arguments": [{"code": "HOURS_INSIDE"}, "2026-12-01", "2027-01-07"]}]}}]}'
                    """);
            migrate("latest");
            assertThat(restingIn(in, 0)).endsWith("it is active from 1 December 2026");
            assertThat(restingIn(in, 1))
                    .endsWith("it is active inside opening hours from 1 December 2026 to 7 January 2027");
        });
    }

    private static String restingIn(Statement in, int line) throws SQLException {
        String outcome = one(in, "select decision -> 'rules' -> " + line + " -> 'outcome' from message");
        return Wording.english().of(StatementJson.read(outcome));
    }

    private static void readsAsBefore(Statement in) throws SQLException {
        assertThat(one(in, "select notes from message"))
                .isEqualTo(
                        "[{\"code\": \"NOTE_NO_MESSAGE_ID\"}, {\"code\": \"RECORDED_IN_WORDS\", \"arguments\": [\"something of old\"]}]");
        assertThat(one(in, "select aside_cause from message")).isEqualTo("null");
        assertThat(one(in, "select parts -> 'attachments' -> 0 ->> 'bytes' from message"))
                .isEqualTo("7");
        assertThat(one(in, "select decision -> 'rules' -> 0 -> 'outcome' from message"))
                .isEqualTo(
                        "{\"code\": \"OUTCOME_PICKED_AND_CONTINUES\", \"arguments\": [\"from rosa@school.example\"]}");
        assertThat(one(in, "select decision -> 'rules' -> 1 -> 'outcome' from message"))
                .isEqualTo("{\"code\": \"OUTCOME_OFF\"}");
        assertThat(one(in, "select concat(kind, ' ', state, ' ', reason, ' ', detail) from step where position = 1"))
                .isEqualTo("NOTIFY DISCARDED DISCARDED_BY_PERSON"
                        + " {\"do\": \"notify\", \"note\": \"\\\"do\\\": \\\"tell\\\"\", \"sound\": \"none\"}");
        assertThat(one(in, "select concat(reason, ' ', reason_arguments, ' ', advice) from step where position = 2"))
                .isEqualTo("AUTOMATIC [\"auto-replied\"] CORRECT_SIGN_IN");
        assertThat(one(in, "select fault from alias_test")).isEqualTo("null");
    }
}
