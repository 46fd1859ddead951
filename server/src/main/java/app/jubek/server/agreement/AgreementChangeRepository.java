package app.jubek.server.agreement;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface AgreementChangeRepository extends JpaRepository<AgreementChangeEntity, UUID> {
    @Query("select c from AgreementChangeEntity c where c.agreementId in :agreements order by c.at desc, c.id")
    List<AgreementChangeEntity> of(Collection<UUID> agreements);
}
