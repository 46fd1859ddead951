package app.jubek.server.hours;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ClosedCalendarRepository extends JpaRepository<ClosedCalendarEntity, UUID> {
    List<ClosedCalendarEntity> findByMailboxIdOrderByName(UUID mailbox);

    Optional<ClosedCalendarEntity> findByIdAndMailboxId(UUID id, UUID mailbox);
}
