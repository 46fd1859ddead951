package app.jubek.server.mailbox;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * How often each message was tried, counted and committed before it is read, so that an attempt that ends the process
 * counts too. All messages asked for together lie in one folder.
 */
@Component
class Attempts {
    private static final String PLACES =
            " where mailbox_id = :mailbox and folder = :folder and uid_validity = :validity and uid in (:uids)";

    private final JdbcClient jdbc;

    Attempts(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Whether one of them was tried before and is not done. */
    boolean anyBefore(UUID mailbox, List<Fetched.Place> places) {
        return on("select count(*) > 0 from intake_failure" + PLACES, mailbox, places)
                .query(Boolean.class)
                .single();
    }

    @Transactional
    public void begin(UUID mailbox, List<Fetched.Place> places) {
        places.forEach(place -> count(mailbox, place, ""));
    }

    /** Counts one more and returns how many there are by now. */
    @Transactional
    public int count(UUID mailbox, Fetched.Place place, String cause) {
        return jdbc.sql("""
                        insert into intake_failure (mailbox_id, folder, uid_validity, uid, times, cause)
                        values (?, ?, ?, ?, 1, ?)
                        on conflict (mailbox_id, folder, uid_validity, uid)
                        do update set times = intake_failure.times + 1,
                          cause = case when excluded.cause = '' then intake_failure.cause else excluded.cause end
                        returning times""")
                .params(mailbox, place.folder(), place.uidValidity(), place.uid(), cause)
                .query(Integer.class)
                .single();
    }

    /** They were taken in or set aside, or what went wrong was no fault of theirs. */
    @Transactional
    public void forget(UUID mailbox, List<Fetched.Place> places) {
        on("delete from intake_failure" + PLACES, mailbox, places).update();
    }

    private JdbcClient.StatementSpec on(String sql, UUID mailbox, List<Fetched.Place> places) {
        return jdbc.sql(sql)
                .param("mailbox", mailbox)
                .param("folder", places.get(0).folder())
                .param("validity", places.get(0).uidValidity())
                .param("uids", places.stream().map(Fetched.Place::uid).toList());
    }
}
