package app.jubek.server.mailbox;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MailboxRepository extends JpaRepository<MailboxEntity, UUID> {
    Optional<MailboxEntity> findByAddress(String address);

    List<MailboxEntity> findAllByOrderByPositionAscAddressAsc();
}
