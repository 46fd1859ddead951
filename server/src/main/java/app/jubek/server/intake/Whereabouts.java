package app.jubek.server.intake;

import app.jubek.server.mailbox.Arrivals;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Mailboxes;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Where messages lie, as far as we know, and which are in no folder any more. */
@Component
class Whereabouts {
    private final JdbcClient jdbc;
    private final Mailboxes mailboxes;
    private final Clock clock;

    Whereabouts(JdbcClient jdbc, Mailboxes mailboxes, Clock clock) {
        this.jdbc = jdbc;
        this.mailboxes = mailboxes;
        this.clock = clock;
    }

    List<String> folders(UUID mailbox) {
        return jdbc.sql("select distinct located_folder from message where mailbox_id = ? and gone_at is null")
                .param(mailbox)
                .query(String.class)
                .list();
    }

    List<Arrivals.Missing> missing(UUID mailbox, Arrivals.Listing listing) {
        return jdbc
                .sql("""
                        select id, message_id, size, located_validity, located_uid from message
                        where mailbox_id = ? and located_folder = ? and located_uid < ? and gone_at is null""")
                .params(mailbox, listing.folder(), listing.next())
                .query((row, n) -> {
                    boolean there = row.getLong(4) == listing.uidValidity()
                            && listing.uids().contains(row.getLong(5));
                    Arrivals.Missing missing =
                            new Arrivals.Missing(row.getLong(1), Optional.ofNullable(row.getString(2)), row.getLong(3));
                    return there ? Optional.<Arrivals.Missing>empty() : Optional.of(missing);
                })
                .list()
                .stream()
                .flatMap(Optional::stream)
                .toList();
    }

    @Transactional
    public void moved(long message, Fetched.Place place) {
        jdbc.sql("update message set located_folder = ?, located_validity = ?, located_uid = ? where id = ?")
                .params(place.folder(), place.uidValidity(), place.uid(), message)
                .update();
    }

    /** Past mail goes altogether; of what was decided the record stays. */
    @Transactional
    public void gone(UUID mailbox, List<Long> messages) {
        if (messages.isEmpty()) {
            return;
        }
        jdbc.sql("delete from message where mailbox_id = :mailbox and id in (:ids) and standing = 'PAST'")
                .param("mailbox", mailbox)
                .param("ids", messages)
                .update();
        jdbc.sql("update message set gone_at = :now where mailbox_id = :mailbox and id in (:ids)")
                .param("now", Timestamp.from(clock.instant()))
                .param("mailbox", mailbox)
                .param("ids", messages)
                .update();
        mailboxes.evidenceChanged(mailbox);
    }
}
