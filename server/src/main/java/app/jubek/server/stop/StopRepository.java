package app.jubek.server.stop;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface StopRepository extends JpaRepository<StopEntity, UUID> {
    /** Two people may stop at the same moment; the first one stands. */
    @Modifying
    @Query("insert into StopEntity (mailbox, since, who) values (:mailbox, :since, :who)"
            + " on conflict (mailbox) do nothing")
    int stop(UUID mailbox, Instant since, String who);

    @Modifying
    @Query("delete from StopEntity s where s.mailbox = :mailbox")
    int release(UUID mailbox);
}
